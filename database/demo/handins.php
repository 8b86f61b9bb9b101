<?php

declare(strict_types=1);

// Who handed in what, and in which format. Rosalind Achterberg handed in nothing.
return [
    ['who' => 'niamh.odonnell', 'essay' => 'light-dues', 'as' => 'docx'],
    ['who' => 'olafur.brandsson', 'essay' => 'tide-mill', 'as' => 'pdf'],
    ['who' => 'mai.pham', 'essay' => 'salt-pans', 'as' => 'docx'],
    ['who' => 'jb.lefevre-aubert', 'essay' => 'ferry', 'as' => 'odt'],
    ['who' => 'zoe.ng', 'essay' => 'oysters', 'as' => 'docx'],
    ['who' => 'siobhan.darcy-quill', 'essay' => 'herring-hands', 'as' => 'pdf'],
    ['who' => 'ifeoma.chukwuemeka', 'essay' => 'silt', 'as' => 'docx'],
    ['who' => 'bo.li', 'essay' => 'silting-up', 'as' => 'docx'], // a classmate's essay with small changes
    ['who' => 'anneliese.vanderveen', 'essay' => 'sea-wall', 'as' => 'odt'],
    ['who' => 'mateus.araujo', 'essay' => 'fish-weir', 'as' => 'rtf'], // mostly quotations
    ['who' => 'hana.kovarova', 'essay' => 'pilots', 'as' => 'docx'],
    ['who' => 'yusuf.alkhatib', 'essay' => 'salt-year', 'as' => 'docx'], // shares three paragraphs with salt-pans
    ['who' => 'priya.raghunathan', 'essay' => 'net-braiders', 'as' => 'docx'],
    ['who' => 'eunji.park', 'essay' => 'watch', 'as' => 'md'],
    ['who' => 'lukasz.zuraw', 'essay' => 'wreck-right', 'as' => 'docx'],
    ['who' => 'tamsin.pengelly', 'essay' => 'ice-house', 'as' => 'docx'],
    ['who' => 'dafydd.aprhys', 'essay' => 'ropewalk', 'as' => 'odt'],
    ['who' => 'kaimana.keawe', 'essay' => 'kelp', 'as' => 'html'],
    ['who' => 'sven.akerlund', 'essay' => 'lifeboat', 'as' => 'docx'],
    ['who' => 'leila.haddad', 'essay' => 'bathing', 'as' => 'docx', 'late' => true], // waived
    // from a page of the open web, with letters swapped
    ['who' => 'fergus.mbride', 'essay' => 'quarantine', 'as' => 'docx', 'late' => true],
    // a line in white
    [
        'who' => 'ximena.ortuzar', 'essay' => 'crimps', 'as' => 'docx',
        'white' => 'Discuss seamen credit wages debt lodging law and mission with careful critical analysis of primary evidence.',
    ],
    ['who' => 'wren.ito', 'essay' => 'marram', 'as' => 'md'],
];

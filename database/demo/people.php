<?php

declare(strict_types=1);

// Everyone here is made up. Name, mail address before the @, and for students number and section.
return [
    'admin' => ['Harbour Office', 'harbour.office'],
    'coordinator' => ['Maren Oduya', 'maren.oduya'],
    'examiner' => ['Inês Caldeira', 'ines.caldeira'],
    'tutors' => [
        ['Tomasz Wiśniewski', 'tomasz.wisniewski'],
        ['Aoife Ní Bhriain', 'aoife.nibhriain'],
        ['Kwabena Asante-Mensah', 'kwabena.asante-mensah'],
        ['Lin Hui', 'lin.hui'],
    ],
    'left' => ['Casimir Thackeray-Bello', 'casimir.thackeray-bello', 'M204125', 'B'],
    'students' => [
        ['Niamh O’Donnell', 'niamh.odonnell', 'M204101', 'A'],
        ['Ólafur Brandsson', 'olafur.brandsson', 'M204102', 'A'],
        ['Phạm Thị Mai', 'mai.pham', 'M204103', 'A'],
        ['Jean-Baptiste Lefèvre-Aubert', 'jb.lefevre-aubert', 'M204104', 'A'],
        ['Zoë Ng', 'zoe.ng', 'M204105', 'A'],
        ['Siobhán D’Arcy-Quill', 'siobhan.darcy-quill', 'M204106', 'A'],
        ['Ifeoma Chukwuemeka', 'ifeoma.chukwuemeka', 'M204107', 'A'],
        ['Bo Li', 'bo.li', 'M204108', 'A'],
        ['Anneliese van der Veen', 'anneliese.vanderveen', 'M204109', 'B'],
        ['Mateus Araújo', 'mateus.araujo', 'M204110', 'B'],
        ['Hana Kovářová', 'hana.kovarova', 'M204111', 'B'],
        ['Yusuf al-Khatib', 'yusuf.alkhatib', 'M204112', 'B'],
        ['Priya Raghunathan', 'priya.raghunathan', 'M204113', 'B'],
        ['Park Eun-ji', 'eunji.park', 'M204114', 'B'],
        ['Łukasz Żuraw', 'lukasz.zuraw', 'M204115', 'B'],
        ['Tamsin Pengelly', 'tamsin.pengelly', 'M204116', 'B'],
        ['Dafydd ap Rhys', 'dafydd.aprhys', 'M204117', 'C'],
        ['Rosalind Achterberg', 'rosalind.achterberg', 'M204118', 'C'],
        ['Kaimana Keawe', 'kaimana.keawe', 'M204119', 'C'],
        ['Sven Åkerlund', 'sven.akerlund', 'M204120', 'C'],
        ['Leila Haddad', 'leila.haddad', 'M204121', 'C'],
        ['Fergus M’Bride', 'fergus.mbride', 'M204122', 'C'],
        ['Ximena Ortúzar', 'ximena.ortuzar', 'M204123', 'C'],
        ['Wren Ito', 'wren.ito', 'M204124', 'C'],
    ],
];

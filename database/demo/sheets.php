<?php

declare(strict_types=1);

// A reflection at the end of a week, and what some wrote.
return [
    'title' => 'After the week in the record room',
    'prompts' => [
        'Which document did you go back to, and why?', 'What did you expect to find and did not?',
        'What will you ask first next time?',
    ],
    'answers' => [
        'niamh.odonnell' => [
            'The toll ledger, because the clerk changes in the middle of a page and nobody says so. The ink tells it.',
            'I expected the masters of the boats by name. The ledger has vessels and sums, and that is all it wants.',
            'Who the ledger was made for. I read it for two days before I asked, and it answers half of the rest.',
        ],
        'priya.raghunathan' => [
            'The parish map, twice: once for the quay and once, after the talk on Thursday, for what lies under the quay.',
            'I expected the salt pans to be drawn as land. They are drawn as water with a fence around it.',
            'What the map was for. A map that was made to settle a boundary is careless about everything else.',
        ],
        'bo.li' => [
            'The same ledger as everyone, I think. I went back for the margins, where somebody adds up in pencil.',
            'I expected the pencil sums to agree with the totals. They agree until the winter of 1790 and then never again.',
            'Who could see it. If the vestry never opened the ledger, the sums in the margin were for nobody but the clerk.',
        ],
        'olafur.brandsson' => [
            'The chart of the bar, since the ledger speaks of a bar that the parish map does not have.',
            'I expected one name for the bar. There are three, one for each language that was spoken in the harbour.',
            'Which map the pilot had. I would ask that before I believe any other map.',
        ],
        'ximena.ortuzar' => [
            'The strike fund book. It has a hole where a page was cut out, and the page numbers were changed afterwards.',
            'I expected the women who paid in to be named. Some are, by their boat.',
            'Who kept the book in the years between. The ledger and the book were in the same house for a winter.',
        ],
        'hana.kovarova' => [
            'The minute book of the cannery, for one word, “surplus”, that stands there before it stands in any ledger.',
            'I expected a list of who was let go. There is a list of machines.',
            'Where the letters are that the minutes answer. A minute book is half of a conversation.',
        ],
        'yusuf.alkhatib' => [
            'The parish map, because two people in our group read two different dates on it and both were right.',
            'I expected the second date to be a mistake. It is when the map was coloured.',
            'How often a map was used after it was made, and by whom.',
        ],
    ],
];

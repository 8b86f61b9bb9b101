<?php

declare(strict_types=1);

return [
    // When markers see the overlap report of a script.
    'seen' => [
        'start' => 'Markers see it from the start',
        'after' => 'Markers see it once their mark is done',
        'never' => 'The coordinator alone',
    ],
    'attention' => [
        'look' => 'look',
        'look-closely' => 'look closely',
    ],
    'signal' => [
        'sentence-length' => 'sentence length',
        'sentence-length-variation' => 'sentence length variation',
        'word-variety' => 'word variety',
        'lexical-diversity' => 'lexical diversity',
        'function-words' => 'function words',
        'predictability' => 'predictability',
        'predictability-variation' => 'predictability variation',
        'stock-phrases' => 'stock phrases',
        'repeated-openings' => 'repeated openings',
        'paragraph-length-variation' => 'paragraph length variation',
        'commas' => 'commas',
        'other-marks' => 'other marks',
        'reading-ease' => 'reading ease',
    ],
];

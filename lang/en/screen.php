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
    'finding' => [
        'attributed' => 'Properly attributed, or nothing to it',
        'talk' => 'Needs a talk with the student',
        'said' => 'What the student said',
        'nothing' => 'Decided: nothing further',
        'support' => 'Decided: learning support',
        'referred' => 'Decided: referred, as the institution’s rules say',
        'note' => 'A note, nothing found yet',
    ],
    'finding_short' => [
        'attributed' => 'properly attributed',
        'talk' => 'needs a talk',
        'said' => 'what the student said',
        'nothing' => 'nothing further',
        'support' => 'learning support',
        'referred' => 'referred',
        'note' => 'a note',
    ],
    'finding_to_student' => [
        'attributed' => 'Nothing to it',
        'talk' => 'Let us talk',
        'said' => 'What you said',
        'nothing' => 'Nothing further',
        'support' => 'Learning support',
        'referred' => 'Passed on, as the institution’s rules say',
        'note' => 'A note',
    ],
];

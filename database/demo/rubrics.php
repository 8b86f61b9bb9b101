<?php

declare(strict_types=1);

$levels = [
    ['id' => 'l1', 'title' => 'Absent', 'points' => '0'],
    ['id' => 'l2', 'title' => 'Thin', 'points' => '3'],
    ['id' => 'l3', 'title' => 'Fair', 'points' => '6'],
    ['id' => 'l4', 'title' => 'Good', 'points' => '8'],
    ['id' => 'l5', 'title' => 'Excellent', 'points' => '10'],
];
$criterion = fn (
    string $id, string $title, string $purpose, string $weight, array $descriptors, array $guidance = [],
    array $unused = [],
): array => [
    'id' => $id, 'title' => $title, 'purpose' => $purpose, 'weight' => $weight, 'kind' => 'levels', 'optional' => false,
    'descriptors' => $descriptors, 'guidance' => $guidance, 'overrides' => [], 'unused' => $unused,
];

return [
    'essay' => ['title' => 'History essay, year 2', 'weighting' => 'percent', 'decimals' => 1, 'levels' => $levels, 'criteria' => [
        $criterion('c1', 'Argument', 'Is there a line of thought, and is it tested?', '35', [
            'l1' => 'No line of thought.', 'l2' => 'Assertions, in no clear order.', 'l3' => 'A claim, argued in part.',
            'l4' => 'Argued throughout; one objection is met.',
            'l5' => 'Argued and weighed; objections are answered from evidence.',
        ], [
            'l2' => 'say in one sentence what you claim, and let each paragraph bear on it.',
            'l3' => 'find the strongest thing that speaks against your claim, and answer it.',
            'l4' => 'answer objections from the sources, not from what seems likely.',
        ]),
        $criterion('c2', 'Use of evidence', 'Are sources apt, placed and questioned?', '30', [
            'l1' => 'None.', 'l2' => 'Few; taken at their word.', 'l3' => 'Apt; seldom questioned.',
            'l4' => 'Apt and placed; one is questioned.', 'l5' => 'Apt, placed, and set against each other.',
        ], [
            'l2' => 'choose fewer sources and say for each who wrote it and why.',
            'l3' => 'ask of your main source what its writer wanted, and what they could not see.',
            'l4' => 'set two sources against each other and say which you trust on this point.',
        ]),
        $criterion('c3', 'Structure', 'Can a reader follow it?', '15', [
            'l1' => 'Cannot be followed.', 'l2' => 'The order breaks often.', 'l3' => 'Clear order.',
            'l5' => 'The order serves the argument.',
        ], [
            'l2' => 'write the first sentence of each paragraph on a card and lay them in order.',
            'l3' => 'let each paragraph begin where the one before it left a question.',
        ], ['l4']),
        $criterion('c4', 'Expression', 'Is it clear and exact?', '10', [
            'l1' => 'Unclear throughout.', 'l2' => 'Often unclear.', 'l3' => 'Clear.', 'l4' => 'Clear, mostly exact.',
            'l5' => 'Clear and exact.',
        ], ['l3' => 'cut every word that the sentence does not need.']),
        $criterion('c5', 'Referencing', 'Could a reader find every source?', '10', [
            'l1' => 'No references.', 'l2' => 'Many are missing.', 'l3' => 'Most can be found.',
            'l5' => 'Every source can be found.',
        ], ['l3' => 'give a page or folio for every quotation.'], ['l4']),
    ]],
    'commentary' => ['title' => 'Source commentary', 'weighting' => 'percent', 'decimals' => 1, 'levels' => array_slice($levels, 0, 5), 'criteria' => [
        $criterion('c1', 'Reading the source', 'What does it say, and what does it leave out?', '50', [
            'l1' => 'The source is not read.', 'l2' => 'Paraphrase.', 'l3' => 'Read closely in places.',
            'l4' => 'Read closely.', 'l5' => 'Read closely, silences included.',
        ], [
            'l3' => 'stay with one phrase of the source for three sentences.',
            'l4' => 'ask who is not in the document, and why.',
        ]),
        $criterion('c2', 'Placing it', 'Who made it, when, for whom?', '30', [
            'l1' => 'Not placed.', 'l2' => 'Date and place only.', 'l3' => 'Maker and date.',
            'l4' => 'Maker, date and purpose.', 'l5' => 'Maker, purpose and reader, and what follows from them.',
        ], ['l3' => 'say what the document was meant to do.']),
        $criterion('c3', 'Expression', '', '20', [
            'l1' => 'Unclear.', 'l2' => 'Often unclear.', 'l3' => 'Clear.', 'l4' => 'Clear, mostly exact.',
            'l5' => 'Clear and exact.',
        ]),
    ]],
    'walk' => ['title' => 'Harbour walk, field record', 'weighting' => 'percent', 'decimals' => 1, 'levels' => array_slice($levels, 1, 4), 'criteria' => [
        $criterion('c1', 'Looking', 'Is what was seen told apart from what was read?', '40', [
            'l2' => 'What was read is repeated.', 'l3' => 'Some things only someone who was there could say.',
            'l4' => 'Seen, measured and placed on the map.',
            'l5' => 'Seen, measured, and set against what the records say.',
        ], ['l3' => 'choose one wall and describe it for a page.', 'l4' => 'find the place where the map is wrong.']),
        ['id' => 'c2', 'title' => 'Sketch map', 'purpose' => 'Could you find the place with it?', 'weight' => '20', 'kind' => 'levels', 'optional' => false, 'levels' => [
            ['id' => 'l1', 'title' => 'Lost', 'points' => '0'],
            ['id' => 'l2', 'title' => 'With luck', 'points' => '3', 'upto' => '5'],
            ['id' => 'l3', 'title' => 'Surely', 'points' => '6', 'upto' => '8'],
        ], 'descriptors' => [
            'l1' => 'No scale, no north, no landmark.', 'l2' => 'Landmarks are right; distances are guessed.',
            'l3' => 'Scale, north and landmarks hold on the ground.',
        ], 'guidance' => ['l2' => 'pace out two distances and write them in.'], 'overrides' => [], 'unused' => []],
        ['id' => 'c3', 'title' => 'On the quay', 'purpose' => 'Ticked by whoever walks along', 'weight' => '20', 'kind' => 'checklist', 'optional' => false, 'items' => [
            ['id' => 's1', 'title' => 'Asked the harbour office before climbing anything', 'points' => '1'],
            ['id' => 's2', 'title' => 'Noted tide and time at each stop', 'points' => '2'],
            ['id' => 's3', 'title' => 'Spoke with someone who works there', 'points' => '2'],
        ]],
        [
            'id' => 'c4', 'title' => 'Photographs',
            'purpose' => 'For those who took some: do they show what the words cannot?', 'weight' => '20',
            'kind' => 'scale', 'min' => '0', 'max' => '10', 'step' => '0.5', 'optional' => true,
        ],
        [
            'id' => 'c5', 'title' => 'A question to take home',
            'purpose' => 'The marker leaves one; nothing is scored', 'weight' => '0', 'kind' => 'comment',
            'optional' => false,
        ],
    ]],
    'presentation' => ['title' => 'Group presentation', 'weighting' => 'percent', 'decimals' => 1, 'levels' => array_slice($levels, 0, 4), 'criteria' => [
        $criterion(
            'c1', 'Question', 'Is one question asked, and kept to?', '35',
            [
                'l1' => 'No question.', 'l2' => 'Several, none kept to.', 'l3' => 'One, kept to most of the time.',
                'l4' => 'One, kept to and answered.',
            ],
        ),
        $criterion(
            'c2', 'Evidence shown', 'Do pictures and figures carry the talk?', '30',
            [
                'l1' => 'None.', 'l2' => 'As decoration.', 'l3' => 'Some are explained.',
                'l4' => 'Each is read out for the listener.',
            ],
        ),
        $criterion(
            'c3', 'Speaking together', 'Is it one talk, or several in a row?', '25',
            [
                'l1' => 'Several talks in a row.', 'l2' => 'Some links.', 'l3' => 'One talk, uneven.',
                'l4' => 'One talk.',
            ],
        ),
    ]],
];

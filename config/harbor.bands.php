<?php

declare(strict_types=1);

// Scales that ship. Common practice, no source; the numbers inside the letters are ours.
return [
    'classes' => ['name' => 'Degree classes', 'boundary' => 'as-it-stands', 'bands' => [
        ['name' => 'Fail', 'from' => '0', 'value' => '30'],
        ['name' => 'Third', 'from' => '40', 'value' => '45'],
        ['name' => 'Lower second', 'from' => '50', 'value' => '55'],
        ['name' => 'Upper second', 'from' => '60', 'value' => '65'],
        ['name' => 'First', 'from' => '70', 'value' => '75'],
    ]],
    'classes-narrow' => ['name' => 'Degree classes with a narrow fail', 'boundary' => 'as-it-stands', 'bands' => [
        ['name' => 'Fail', 'from' => '0', 'value' => '20'],
        ['name' => 'Narrow fail', 'from' => '35', 'value' => '37'],
        ['name' => 'Third', 'from' => '40', 'value' => '45'],
        ['name' => 'Lower second', 'from' => '50', 'value' => '55'],
        ['name' => 'Upper second', 'from' => '60', 'value' => '65'],
        ['name' => 'First', 'from' => '70', 'value' => '75'],
    ]],
    'letters' => ['name' => 'Letters with numbers', 'boundary' => 'whole-marks', 'bands' => array_map(
        fn (array $band) => ['name' => $band[0], 'from' => $band[1], 'value' => $band[2]],
        [
            ['F', '0', '15'], ['E1', '30', '32'], ['E2', '34', '37'], ['D1', '40', '41'], ['D2', '43', '45'],
            ['D3', '47', '48'], ['C1', '50', '51'], ['C2', '53', '55'], ['C3', '57', '58'], ['B1', '60', '61'],
            ['B2', '63', '65'], ['B3', '67', '68'], ['A1', '70', '72'], ['A2', '74', '76'], ['A3', '78', '80'],
            ['A4', '83', '86'], ['A5', '90', '95'],
        ],
    )],
    'pass' => ['name' => 'Pass or fail', 'boundary' => 'as-it-stands', 'bands' => [
        ['name' => 'Fail', 'from' => '0'],
        ['name' => 'Pass', 'from' => '40'],
    ]],
];

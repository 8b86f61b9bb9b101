<?php

declare(strict_types=1);

return [
    'title' => 'How the module mark is made',
    'link' => 'How the module mark is made',
    'key' => [
        'weight' => 'weight', 'must_pass' => 'must reach', 'best' => 'best', 'of' => 'its assignments', 'resit' => 'resit',
        'id' => 'its name', 'title' => 'its name',
    ],
    'as' => [
        'none' => 'does not count',
        'own' => 'counts by itself',
        'list' => 'is one of list :list',
        'resit' => 'is the resit of :of',
    ],
    'two_resits' => 'Two assignments are named as the resit of the same one: one of them only. Nothing was changed.',
    'resit_of_none' => 'A resit is of an assignment that counts by itself: set that one so first. Nothing was changed.',
    'decimals' => '{0} whole marks|{1} 1 decimal|[2,*] :count decimals',
    'rule' => [
        'rounded' => 'Summed exactly and rounded once, half up, to :decimals.',
        'pass' => 'Passed from :pass', 'must' => 'with at least :what.',
        'bands' => 'Bands: :bands.', 'whole' => 'A mark is rounded to a whole one before it is held against a boundary.',
        'stands' => 'A mark is held against a boundary as it stands.',
        'borderline' => 'Borderline is whoever lies :marks or less below a boundary.',
        'no_borderline' => 'Nobody is listed as borderline.',
    ],
    'saved' => 'Kept. Module marks follow it.',
    'none' => 'No module mark is made yet: say what its parts weigh.',
    'nothing_left' => 'Nothing is left: the mark is complete.',
    'needed' => '{1} :mark in :what would reach :target.|[2,*] :mark in each of :what would reach :target.',
    'needed_any' => '{1} Any mark in :what reaches :target.|[2,*] Any mark in :what reaches :target.',
    'not_reachable' => 'Even 100 in what is left does not reach :target.',
    'not_complete' => 'so far',
    'must' => 'must reach :mark',
    'not_passed' => 'not passed: :what',
    'borderline' => 'borderline to :boundary',
    'bar' => 'What each part adds to :mark of 100; in outline what is still open; lines are grade bands, the thick one the pass mark',
    'working' => 'Module mark',
    'only_released' => 'Made of what is released. What is not there yet counts as 0 so far.',
];

<?php

declare(strict_types=1);

return [
    'form' => ['what' => 'What is marked:', 'handin' => 'work handed in', 'discussion' => 'a discussion', 'observed' => 'something observed'],
    'after_release' => 'feedback first, a reflection, reviews of marks, who hands in nothing',
    'absent' => [
        '' => 'what is decided for each',
        'zero' => '0 marks',
        'incomplete' => '“incomplete”, and no mark',
        'deferred' => 'deferred to a resit',
        'nothing' => 'nothing: handing in is a choice here',
    ],
    // What marks within the tolerance settle to.
    'rule' => [
        'mean' => 'the mean',
        'first' => 'the first mark',
        'higher' => 'the higher mark',
        'median' => 'the median',
        'two-closest' => 'the mean of the two closest',
        'third-decides' => 'what the third marker decides',
        'peers' => 'the median of the peers',
    ],
    'rule_choice' => [
        'mean' => 'The mean of both',
        'first' => 'The first mark stands',
        'higher' => 'The higher mark',
        'median' => 'The median of three',
        'two-closest' => 'The mean of the two closest',
        'third-decides' => 'The third marker decides',
        'peers' => 'The median of the peers’ marks',
    ],
    // Which scripts are marked twice, and what the second marker sees.
    'second' => [
        'none' => 'one mark a script',
        'every' => 'every script twice',
        'sample' => 'a sample twice',
    ],
    'second_choice' => [
        'none' => 'No script: one mark each',
        'every' => 'Every script',
        'sample' => 'A sample of the scripts',
    ],
    'view' => [
        'blind' => 'blind',
        'open' => 'the second marker seeing the first mark',
        'check' => 'the second marker checking the first mark',
    ],
    'view_choice' => [
        'blind' => 'Nothing: each marks without the other',
        'open' => 'The first mark, beside a mark of their own',
        'check' => 'The first mark, to agree with it or propose another',
    ],
    'within' => 'within :tolerance marks :rule',
    'disagreement_choice' => [
        'its-markers' => 'They are reminded',
        'third' => 'A third marker is asked for',
        'coordinator' => 'A coordinator who marked neither decides',
    ],
    'signed_by' => [
        'moderator' => 'a moderator of the team',
        'examiner' => 'the external examiner',
    ],
    'and' => 'and',
    'or' => 'or',
    'chosen' => [
        'fail' => 'every fail',
        'top' => 'every script in the top band',
        'near' => 'every mark within :near of a boundary',
    ],
    'drawn_besides' => 'drawn from the rest :share %, at least :least',
    'least_root' => 'at least the square root of all',
    'forecast' => [
        'none' => 'Each of :cohort scripts has one mark, which is its agreed mark as soon as it is done.',
        'every' => 'All :cohort scripts are marked twice',
        'sample' => 'About :size of :cohort scripts are marked twice: :ends fails and tops, :near near a boundary, :drawn drawn',
        'each' => ', about :each a marker.',
        'measured' => 'Worked out from how marks lay in this module before. Scripts outside the sample keep their first mark; scripts in it get the settled one.',
        'usual' => 'There are too few earlier marks in this module to go by, so a usual spread is assumed (mean 58, standard deviation 12). Scripts outside the sample keep their first mark; scripts in it get the settled one.',
    ],
    'handin_by' => [
        'each' => 'each student',
        'group' => 'a group, with one mark',
        'group-one-by-one' => 'a group, its members marked one by one',
    ],
    'rubric_state' => [
        'working-copy' => 'working copy',
        'ready' => 'ready',
        'retired' => 'retired',
    ],
    // How a mark at a boundary finds its band.
    'boundary' => [
        'as-it-stands' => 'A mark is in the highest band it reaches as it stands: 69.5 is not 70.',
        'whole-marks' => 'A mark is rounded to a whole number, half up, to find its band: 69.5 reaches 70, 69.4 does not.',
    ],
    'rubric_closed' => 'This rubric is :state; a :state rubric does not change. Open it for changes to go on.',
];

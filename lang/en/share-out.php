<?php

declare(strict_types=1);

return [
    'unplaced' => [
        'nobody-left' => 'nobody is left for its :part mark: :who',
        'group-together' => 'no marker may have every script of its group, and groups are kept together',
        'too-few-outside' => ':short of :each reviews cannot be placed: :authors',
        'group-too-large' => ':short of :each reviews cannot be placed: a group is too large for its work to be reviewed by those outside it',
    ],
    'outside' => '{1} only one author is outside its author’s group|[0,*] only :count authors are outside its author’s group',
    // One marker; :count of several; all of them.
    'keeps_away' => [
        'conflict' => '{1} one marker has a conflict of interest|[2,*] :count markers have a conflict of interest',
        'section' => '{1} one marker does not take its section|[2,*] :count markers do not take its section',
        'no-share' => '{1} one marker has a share of 0|[2,*] :count markers have a share of 0',
        'marks-it' => '{1} one marker marks it already|[2,*] :count markers mark it already',
    ],
    'keeps_all_away' => [
        'conflict' => '{1} the only marker has a conflict of interest|[2,*] every marker has a conflict of interest',
        'section' => '{1} the only marker does not take its section|[2,*] no marker takes its section',
        'no-share' => '{1} the only marker has a share of 0|[2,*] every marker has a share of 0',
        'marks-it' => '{1} the only marker marks it already|[2,*] every marker marks it already',
    ],
    'together_not_due' => 'Scripts can still change until the due time:due; choose some to mark together after it.',
    'together_needs_two' => '{0} Marking together needs two markers at least; none is agreed under “Who marks what”.|{1} Marking together needs two markers at least; one is agreed under “Who marks what”.',
];

<?php

declare(strict_types=1);

return [
    'sample_drawn' => '{1} The sample is drawn: 1 script is with its second marker.|[2,*] The sample is drawn: :size scripts are with their second markers.',
    'sample_size' => '{0} No script is in the sample.|{1} 1 script of :from:|[2,*] :size scripts of :from:',
    'counted' => [
        'fail' => '{1} 1 fail|[2,*] :count fails',
        'top band' => '{1} 1 in the top band|[2,*] :count in the top band',
        'near' => '{1} 1 near a boundary|[2,*] :count near a boundary',
        'drawn' => '{1} 1 drawn by lot|[2,*] :count drawn by lot',
        'asked for' => '{1} 1 asked for|[2,*] :count asked for',
    ],
    'no_second' => '{1} Nobody can be found to mark :scripts a second time: it is in the sample all the same and waits on this page until somebody is.|[2,*] Nobody can be found to mark :scripts a second time: they are in the sample all the same and wait until somebody is.',
    'given_out' => '{0} Nothing goes to a second marker now.|{1} 1 script goes to a second marker, :view.|[2,*] :given scripts go to :people second markers, :view.',
    'keep_first' => '{0} No other script keeps its first mark.|{1} The other one keeps its first mark as the agreed one, unless it is opened again.|[2,*] The other :count keep their first mark as the agreed one, unless it is opened again.',
    'opened_again' => 'What was agreed of them is opened again until their second marks are done.',
    'sight' => [
        'nothing' => 'cannot be seen: no script is shared with others',
        'nearly_always' => 'would be noticed nearly always',
        'noticed' => '{0} would hardly ever be noticed|{1} would be noticed about once in 10 times|[2,*] would be noticed about :often times in 10',
        'more' => '; for :wish in 10 draw :more more of theirs',
        'never' => '; no number of theirs would do with these second markers',
        'measured' => 'Two blind marks of one script differ by a standard deviation of :sd marks here, once each marker’s own lie is taken off: from :pairs pairs in this module.',
        'assumed' => 'Two blind marks of one script are taken to differ by a standard deviation of :sd marks, a usual figure: this module has fewer than :least blind pairs to measure it from.',
        'alarms' => 'Were all :markers alike, :alarms of them would still be called different, since each test has a false alarm in :percent of 100.',
        'sets' => 'The markers fall into :sets sets that share no script: across them nothing can be compared.',
        'cannot' => 'It says nothing of a marker who is harsh on some scripts and lenient on others.',
        'curve' => 'How often of 10 a marker is noticed, as planned, with half as many scripts again, with twice as many, by how many marks harsher: :figures',
    ],
    'mail' => [
        'settle' => '{1} 1 script to settle: :assignment|[2,*] :count scripts to settle: :assignment',
        'decide' => '{1} 1 mark to decide: :assignment|[2,*] :count marks to decide: :assignment',
    ],
    'today' => [
        'undecided' => '{1} 1 script waits for the sample to be drawn|[2,*] :count scripts wait for the sample to be drawn',
        'decide' => '{1} 1 script waits for your decision: its markers have not agreed|[2,*] :count scripts wait for your decision: their markers have not agreed',
        'third' => '{1} 1 script to mark as third marker|[2,*] :count scripts to mark as third marker',
        'check' => '{1} 1 mark to check|[2,*] :count marks to check',
    ],
    'seen' => [
        'blind' => 'blind',
        'open' => 'seeing the others',
        'check' => 'a check',
    ],
    'comments_of' => [
        'first' => 'the first marker’s',
        'second' => 'the second marker’s',
        'third' => 'the third marker’s',
    ],
    'comments_go_out' => '{0} No comment on the text goes out. Comments are taken from: :whose.|{1} 1 comment on the text goes out, from: :whose.|[2,*] :count comments on the text go out, from: :whose.',
    'student_reads' => 'The student reads the comments of: :whose.',
    'third_rule' => 'The planner chooses someone who is neither of the two and has no conflict of interest. With a third mark the script settles to :rule.',
    'sample_so_far' => [
        'none' => 'No sample is drawn yet.',
        'drawn' => '{1} 1 script is in the sample.|[2,*] :count scripts are in the sample.',
        'wait' => '{0} |{1} 1 script has its first mark and waits for a draw.|[2,*] :count scripts have their first mark and wait for a draw.',
    ],
    'filter' => [
        'all' => 'all',
        'to-settle' => 'to settle',
        'overdue' => 'past their date',
        'with-third' => 'with third marker',
        'second-open' => 'second mark open',
        'undecided' => 'waiting for the sample',
        'agreed' => 'agreed',
    ],
    'why_sampled' => [
        'fail' => 'fail',
        'top band' => 'top band',
        'near' => 'near :boundary',
        'drawn' => 'drawn',
        'asked for' => 'asked for',
    ],
    'why_open' => [
        'marks-missing' => 'not every mark is done',
        'beyond-tolerance' => ':apart apart, more than the tolerance of :limit',
        'across-pass-line' => 'on different sides of the pass line at :limit',
        'sample-not-drawn' => 'the sample is not drawn yet',
        'rule-needs-more' => 'the rule needs more marks than this script has',
        'reason-missing' => 'whoever decides across the pass line at :limit has to say why',
    ],
];

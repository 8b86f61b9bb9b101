<?php

declare(strict_types=1);

return [
    'star' => 'start here',
    'star_title' => 'One of up to three comments that the student is to read first',
    'stars_full' => 'is not one to start with: :most are at most, so take the tick from another one first',
    // Where one script is.
    'standing' => [
        'expected' => 'not handed in',
        'handed-in' => 'handed in',
        'with-marker' => 'with marker',
        'marked-once' => 'marked once',
        'with-second-marker' => 'with second marker',
        'to-settle' => 'to settle',
        'with-third-marker' => 'with third marker',
        'agreed' => 'agreed',
        'released' => 'released',
        'held' => 'held',
    ],
    // What a mark is on a script, as its desk names it.
    'seat' => [
        'first' => 'first mark',
        'second' => 'second mark',
        'third' => 'third mark',
        'moderator' => 'moderator\'s mark',
        'peer' => 'a peer\'s mark',
        'own-rating' => 'own rating',
        'trial' => 'trial script',
        'together' => 'together, counts for nothing',
    ],
    'why' => [
        'second' => 'Why you see it differently',
        'third' => 'Why it should be this mark',
    ],
    'why_hint' => 'The other markers and the examiner read it. Students read it where your mark decides.',
    'comments_on_script' => '{1} 1 comment on the script|[2,*] :count comments on the script',
    'pace' => [
        'all-done' => 'all done',
        'in-time' => 'in time at this pace',
        'behind' => 'behind: faster than so far is needed',
        'not-begun' => 'nothing done yet',
        'past' => 'past the promised date',
        'no-date' => 'no date is promised',
    ],
    // How far a stage of the fairway is.
    'progress' => [
        'not-begun' => 'not begun',
        'under-way' => 'under way',
        'done' => 'done',
    ],
    // What a comment on a script is.
    'comment_kind' => [
        'remark' => 'remark',
        'praise' => 'praise',
        'fix' => 'to fix',
        'question' => 'question',
    ],
    'stays_released' => 'The result of :script has been released; its marks no longer change.',
    'stays_moderated' => 'Both marks of this script are in, so moderation has begun. If yours should change, settle it with the other marker.',
];

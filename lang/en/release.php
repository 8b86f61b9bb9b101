<?php

declare(strict_types=1);

return [
    // What a student reads of who marked how.
    'levels_of' => [
        'first' => 'The first mark, criterion by criterion:',
        'third' => 'The third mark, which decided, criterion by criterion:',
        'agreed' => 'The levels agreed, criterion by criterion:',
    ],
    'second_view' => [
        'blind' => 'Two markers marked your work without seeing each other’s marks.',
        'open' => 'Two markers marked your work, the second seeing the first mark.',
        'check' => 'Your work was marked, and a second marker checked the mark.',
    ],
    'whose_levels' => [
        'first' => 'The levels here are the first marker’s; the mark is the one settled from both.',
        'third' => 'They did not agree; the levels here are those of a third marker, who decided.',
        'agreed' => 'The levels here are those they agreed on, and the mark is their total.',
    ],
    'signature' => [
        'moderator' => 'the moderator’s',
        'examiner' => 'the external examiner’s',
    ],
    // What stands between scripts and their release.
    'obstacle' => [
        'not-shared-out' => '{0} Every script has a marker|{1} 1 script is not shared out|[2,*] :count scripts are not shared out',
        'not-marked' => '{0} Every script is marked|{1} 1 script has no finished first mark|[2,*] :count scripts have no finished first mark',
        'no-second-mark' => '{0} Every second mark is in|{1} 1 script has no finished second mark|[2,*] :count scripts have no finished second mark',
        'sample-not-drawn' => '{0} The sample is drawn|{1} 1 script waits for the sample to be drawn|[2,*] :count scripts wait for the sample to be drawn',
        'not-settled' => '{0} Nothing is left to settle|{1} 1 script is not settled|[2,*] :count scripts are not settled',
        'not-signed' => '{0} Everything is signed|{1} 1 signature is missing|[2,*] :count signatures are missing',
        'held' => '{0} Nothing is held|{1} 1 script is held|[2,*] :count scripts are held',
    ],
];

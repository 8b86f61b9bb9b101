<?php

declare(strict_types=1);

return [
    // What stands between scripts and their release.
    'obstacle' => [
        'not-shared-out' => '{0} Every script has a marker|{1} 1 script is not shared out|[2,*] :count scripts are not shared out',
        'not-marked' => '{0} Every script is marked|{1} 1 script has no finished first mark|[2,*] :count scripts have no finished first mark',
        'no-second-mark' => '{0} Every second mark is in|{1} 1 script has no finished second mark|[2,*] :count scripts have no finished second mark',
        'not-settled' => '{0} Nothing is left to settle|{1} 1 script is not settled|[2,*] :count scripts are not settled',
        'held' => '{0} Nothing is held|{1} 1 script is held|[2,*] :count scripts are held',
    ],
];

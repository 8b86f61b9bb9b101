<?php

declare(strict_types=1);

return [
    'result' => 'Your result for :assignment is there',
    'case' => ':assignment: :what',
    'case_subject' => 'About your :assignment',
    'case_body' => "Dear :name,\n\na coordinator has decided for you in :assignment (:module): :what.\n\nThe page of the assignment says so too; if you do not know why, ask there or answer your coordinator:\n\n:link",
    'confirmed' => 'Your result for :assignment is final now',
    'confirmed_subject' => 'Your result for :assignment is final',
    'confirmed_body' => "Dear :name,\n\nyour result for :assignment (:module) was provisional. The board of examiners has confirmed it as it stood:\n\n:link",
    'release_refused' => 'Results of :assignment did not go out: :why',
    'release_refused_subject' => 'Results of :assignment did not go out',
    'release_refused_body' => "Dear :name,\n\nthe release of results you set for :assignment did not go out: :why\n\nNothing was released. Look at what stands in the way, then release again or set another time:\n\n:link",
    'daily_subject' => '{1} 1 thing is new for you|[2,*] :count things are new for you',
    'daily_foot' => 'You get one mail a day about this, and results at once. Change that here: :link',
];

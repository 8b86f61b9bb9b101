<?php

declare(strict_types=1);

return [
    'result' => 'Your result for :assignment is there',
    'replaced' => 'A corrected result for :assignment is there',
    'replaced_subject' => 'A corrected result for :assignment',
    'replaced_body' => "Dear :name,\n\na corrected result for :assignment (:module) has taken the place of the one you had. It says what changed and why, and the earlier one can still be read:\n\n:link",
    'review_asked' => 'A student asks for a review of a mark in :assignment, to be answered by :by',
    'review_asked_subject' => 'A review of a mark in :assignment is asked for',
    'review_asked_body' => "Dear :name,\n\na student asks that their mark in :assignment be looked at again. It is to be answered by :by:\n\n:link",
    'review_with' => 'Please look at a review of :code, :assignment',
    'review_with_subject' => 'Please look at a review in :assignment',
    'review_with_body' => "Dear :name,\n\na coordinator asks you to look at a review of the mark of :code in :assignment, and to write what you find:\n\n:link",
    'review_answered' => 'Your review in :assignment is answered',
    'review_answered_subject' => 'Your review in :assignment is answered',
    'review_answered_body' => "Dear :name,\n\nyou asked for a review of your mark in :assignment (:module). It is answered, with the reason:\n\n:link",
    'reply_to_marker' => 'A reply on :code, :assignment',
    'reply_to_marker_body' => "Dear :name,\n\na student has replied to your feedback on :code in :assignment:\n\n:link",
    'reply_to_student' => 'An answer to your reply, :assignment',
    'reply_to_student_body' => "Dear :name,\n\nyour marker has answered your reply on your work for :assignment:\n\n:link",
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

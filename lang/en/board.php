<?php

declare(strict_types=1);

return [
    'title' => 'Board sheet',
    'without' => '{1} 1 student has no candidate number|[2,*] :count students have no candidate number',
    'draw' => 'Draw numbers',
    'draw_why' => 'They are drawn at random and tell nothing. Whoever has one from the roster keeps it.',
    'drawn' => '{0} Everyone has one already.|{1} 1 candidate number is drawn.|[2,*] :count candidate numbers are drawn.',
    'rules' => 'The rules',
    'bands' => 'How it lies',
    'bands_of' => 'of those whose marks are complete',
    'borderline' => 'Borderline',
    'none_borderline' => 'Nobody is borderline by that rule.',
    'cases' => 'Decided for one candidate',
    'cases_why' => 'What was decided; reasons stay with the coordinator.',
    'none_cases' => 'Nothing was decided for one candidate alone.',
    'confirm' => 'The board confirms',
    'confirm_why' => '{0} Nothing is provisional. The sheet is kept as it is now.|{1} 1 provisional result becomes final and its student is told; the sheet is kept as it is now.|[2,*] :count provisional results become final and their students are told; the sheet is kept as it is now.',
    'incomplete' => '{1} 1 candidate’s marks are not complete.|[2,*] The marks of :count candidates are not complete.',
    'sure' => 'The board has confirmed these results.',
    'said' => '{0} Kept. Nothing was provisional.|{1} Kept. 1 result is final now; its student is being told.|[2,*] Kept. :count results are final now; their students are being told.',
    'earlier' => 'Confirmed so far',
    'as_of' => 'As the board confirmed it',
    'same' => 'as it is now', 'changed' => 'the sheet has changed since',
    'no_plan' => 'No module mark is made in this module yet.',
    'empty' => 'Nobody is on the sheet',
    'empty_why' => 'Students stand on it by candidate number.',
    'names' => 'Without names: candidates stand by number.',
];

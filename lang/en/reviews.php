<?php

declare(strict_types=1);

return [
    'title' => 'Review of a mark',
    'ground' => [
        'arithmetic' => 'The mark does not add up',
        'overlooked' => 'Something in my work was overlooked',
        'rules' => 'Lateness, length or another rule was applied wrongly',
        'circumstances' => 'Something happened that could not be said before',
        'other' => 'Something else',
    ],
    'state' => [
        'received' => 'being looked at; to be answered by :by',
        'stands' => 'the mark stands',
        'corrected' => 'the mark was corrected',
    ],
    'ask' => 'Ask for a review of the mark',
    'until' => 'Until :until. Someone looks at it again and answers with a reason; the mark can go up or down, or stand.',
    'over' => 'A review could be asked for until :until.',
    'today' => '{1} 1 review of a mark waits for a decision|[2,*] :count reviews of marks wait for a decision',
    'today_with' => '{1} 1 review of a mark waits for what you find|[2,*] :count reviews of marks wait for what you find',
    'asked' => 'Your coordinator has it. You get an answer with a reason by :by.',
    'said_stands' => 'Decided: the mark stands. The student is told, with your answer.',
    'said_with' => ':who is asked to look at it.',
    'said_advice' => 'Kept for the coordinator.',
    'said_corrected' => 'The corrected result is out, and its student is told. The earlier one can still be read.',
    'open' => '{1} 1 review of a mark is open|[2,*] :count reviews of marks are open',
    'masked' => 'Under the script code, its student’s name hidden in the words, until names are revealed.',
    'file_names' => 'As it was attached it may name its student, so opening it is a look behind the code, written in the logbook.',
    'why_look' => 'Say in a few words (5 letters at least) why you need the file; it is written in the logbook.',
];

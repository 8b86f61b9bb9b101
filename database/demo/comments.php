<?php

declare(strict_types=1);

// What markers wrote, by criterion: for weaker, middling and stronger work.
return [
    'Argument' => [
        [
            'You tell us what happened, and in good order. What do you claim? Try to finish the sentence “I argue that …” before the second paragraph.',
            'Two claims are made here and they pull apart. Choose the second; it is the better one.',
        ],
        [
            'The claim is clear by the end. Had it stood at the start, the middle paragraphs would have had something to prove.',
            'A real argument. The objection in the fourth paragraph deserves more than one sentence, because it is a good one.',
        ],
        [
            'Argued from the first line to the last, and you let the strongest objection speak. That is rare.',
            'I was persuaded, and then I tried to undo it and could not. The turn in the last third is where it is won.',
        ],
    ],
    'Use of evidence' => [
        [
            'One source carries everything here. Who wrote it, and what did they want from its reader?',
            'The quotations are well chosen but they are left to speak for themselves. After each one, say what you make of it.',
        ],
        [
            'Apt throughout. Ask once of the account book what it would never have written down.',
            'Good use of the list of 17 names. You trust the petition more than it has earned.',
        ],
        [
            'You set the ledger against the letter and say which you believe, and why. Exactly this.',
            'The count you made yourself is worth more than three secondary works. Say how you treated the gaps.',
        ],
    ],
    'Structure' => [
        ['I lost the thread after the second paragraph; a sentence that says where we are would be enough.'],
        ['Clear. The paragraph on prices could come before the one it explains.', 'Easy to follow.'],
        ['Each paragraph begins where the one before it left a question. A pleasure to follow.'],
    ],
    'Expression' => [
        ['Some sentences try to carry three things. Let each carry one.'],
        ['Clear on the whole; watch the passive where it hides who did something.'],
        [
            'Plain and exact. “The rule was even; the burden was not” is a sentence to keep.',
            'Clear, with a dry wit that never gets in the way.',
        ],
    ],
    'Referencing' => [
        ['Give the document number whenever you quote: I could not find two of these.'],
        ['Most can be found. Folios would help.'],
        ['Everything can be found.'],
    ],
    'Reading the source' => [
        ['Stay longer with one phrase.'],
        ['You read closely where it matters, at the second paragraph. Do the same with the opening.'],
        ['You noticed what the document leaves out, and you made something of it.'],
    ],
    'Placing it' => [
        ['Who was it made for?'],
        ['You say who made it. What was it meant to do?'],
        ['Maker, reader and purpose, and what follows from them: all here.'],
    ],
    'general' => [
        [
            'There is an essay in here that you have not quite written yet. Take the question in your third paragraph and let the whole answer it. Come and talk to me before the next one if that would help.',
            'You have done the reading. Next time decide what you think of it before you begin to write, and use the first paragraph to tell me.',
        ],
        [
            'A good, careful essay. What would lift it is an argument with somebody: find the reader who disagrees with you, and write to them.',
            'You let the ledger argue with the petition and you did not hurry to settle it. The close is shorter than the question deserves.',
        ],
        [
            'I learned something from this, and I have read the documents many times. Next, try the same eye on a source that you find dull.',
            'Excellent work. The last page could lose a third and gain by it; otherwise I would change very little.',
        ],
    ],
];

<?php

declare(strict_types=1);

// Comments that the demo's team uses again: label, comment, kind, criterion.
return [
    [
        'Whose account',
        'Whose account is this? Say who made the document, for whom, and what they had to gain by it.', 'question',
        'Use of evidence',
    ],
    [
        'Read the silence',
        'Ask what this source leaves out, and why someone who kept it would not have written that down.', 'fix',
        'Use of evidence',
    ],
    [
        'Two documents',
        'You set two documents against each other here and let neither win too early. That is what the brief asks for.',
        'praise', 'Use of evidence',
    ],
    [
        'Count it',
        'You have the figures. Work them out (how many a year, how much each) and the sentence argues for itself.',
        'fix', 'Use of evidence',
    ],
    [
        'Claim first',
        'This is your claim. Bring it to the first paragraph, so that everything after it can be read as an answer.',
        'fix', 'Argument',
    ],
    ['Objection met', 'An objection is raised and met, not only named. Good.', 'praise', 'Argument'],
    [
        'So what',
        'So what changed, and for whom? The paragraph tells what happened and stops where the argument would begin.',
        'question', 'Argument',
    ],
    [
        'One idea', 'Two ideas share this paragraph. Give each its own, and the turn between them becomes visible.',
        'fix', 'Structure',
    ],
    ['Turn well made', 'A reader always knows where they are: this turn is well made.', 'praise', 'Structure'],
    [
        'Shorter', 'Read this aloud and cut what you stumble over. It is clearer at half the length.', 'fix',
        'Expression',
    ],
    ['Sentence worth keeping', 'A sentence worth keeping.', 'praise', 'Expression'],
    ['Page number', 'Give the page, not only the title, so that a reader can check it.', 'fix', 'Referencing'],
    [
        'Quoted or yours',
        'Are these your words or the source’s? If they are quoted, mark them; if not, say where the fact is from.',
        'question', 'Referencing',
    ],
];

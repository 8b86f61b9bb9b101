<?php

declare(strict_types=1);

/*
 * The rubrics an institution starts with. Descriptors say what a reader sees in the work, so that two markers can
 * point at the same thing; guidance says the next step, not the next grade.
 */
$levels = fn (string ...$named): array => array_map(
    fn (int $n, string $title, string $points) => ['id' => 'l'.($n + 1), 'title' => $title, 'points' => $points],
    range(0, count($named) - 1), array_keys($named), $named,
);
$four = $levels(...['Not yet' => '2', 'Developing' => '5', 'Secure' => '7', 'Outstanding' => '10']);
$criterion = function (
    int $n, string $title, string $weight, string $purpose, array $cells, array $guidance = [], array $more = [],
): array {
    $by = fn (array $texts): array => array_combine(array_map(fn (int $i) => 'l'.($i + 1), array_keys($texts)), $texts);

    return [
        ...[
            'id' => "c{$n}", 'title' => $title, 'purpose' => $purpose, 'weight' => $weight, 'kind' => 'levels',
            'optional' => false, 'descriptors' => $by($cells), 'guidance' => $by($guidance), 'overrides' => [],
            'unused' => [],
        ],
        ...$more,
    ];
};
$rubric = fn (string $title, array $levels, array $criteria, array $more = []): array => [
    ...['title' => $title, 'weighting' => 'percent', 'decimals' => 1, 'levels' => $levels, 'criteria' => $criteria],
    ...$more,
];

return [
    $rubric('Argued essay', $four, [
        $criterion(1, 'Argument', '35', 'Is one claim made, tested and answered?', [
            'The essay reports; what its writer thinks cannot be told.',
            'A claim is stated, and some paragraphs bear on it. Others only add information.',
            'Every part bears on one claim. At least one serious objection is named and met.',
            'The claim grows through the essay. The strongest objections change it, and the reader sees how.',
        ], [
            'Write your answer to the question in one sentence, and put it in the first paragraph.',
            'Ask of each paragraph what would be lost from the argument without it.',
            'Give the best reader who disagrees with you a paragraph of their own.',
        ]),
        $criterion(2, 'Evidence', '30', 'Does what is shown bear the weight that is put on it?', [
            'Points stand without support, or rest on a single source.',
            'Sources support most points and are taken at their word.',
            'Sources are apt and placed: who made them, for whom, and when.',
            'Sources are weighed against each other, and what they cannot show is said.',
        ], [
            'Put a source behind each claim, or drop the claim.',
            'Say of your main source who made it and what they wanted.',
            'Find the place where two sources disagree, and stay there.',
        ]),
        $criterion(3, 'Use of reading', '15', 'Is the essay part of a discussion that others have begun?', [
            'No reading beyond the set text shows.',
            'Other writers are quoted; what they argue is not told apart.',
            'Positions of other writers are told apart and used.',
            'The essay says where it agrees, where it departs, and why that matters.',
        ], [
            'Read one article that answers the same question, and say what it claims.',
            'Name two writers who would disagree, and say over what.',
            'Say what your essay lets us see that theirs do not.',
        ]),
        $criterion(4, 'Structure', '10', 'Can a reader follow the thought?', [
            'The order seems to be the order in which things were found.',
            'Parts are in a sensible order; the steps between them are missing.',
            'Each part begins where the last one left a question.',
            'The order itself persuades: nothing could be moved without loss.',
        ], [
            'Write one line on each paragraph, and put the lines in order.',
            'Add a sentence at each turn that says why it comes next.',
        ]),
        $criterion(5, 'Language', '10', 'Is it clear, exact and properly referenced?', [
            'Sentences have to be read twice; references are missing.',
            'Meaning is clear in most places; references are there but not in one form.',
            'Clear throughout, in one form of reference.',
            'Exact and a pleasure to read; every source can be found.',
        ], [
            'Read it aloud and mend every sentence you stumble over.',
            'Check each reference against the style sheet, one kind at a time.',
        ]),
    ]),
    $rubric('Technical report', $four, [
        $criterion(1, 'Problem', '15', 'Does the reader know what was asked, and why it matters?', [
            'It is not said what the report is to settle.', 'The task is restated in the words it was given in.',
            'The question is narrowed to one that the report can answer.',
            'The question is narrowed, and what hangs on the answer is shown.',
        ], ['Begin with the decision that someone has to take.', 'Say what the report leaves out, and why.']),
        $criterion(2, 'Method', '25', 'Could someone else do it again?', [
            'What was done cannot be told from the report.', 'The steps are listed; choices are not explained.',
            'The steps can be repeated, and the main choices have reasons.',
            'The steps can be repeated, choices are tested against alternatives, and limits are stated beforehand.',
        ], [
            'Give quantities, settings and order, as in a recipe.',
            'Say for one choice what else you could have done.',
            'Say before the results what would have shown you wrong.',
        ]),
        $criterion(3, 'Results', '25', 'Are the figures right, readable and honest?', [
            'Figures are missing, or contradict each other.',
            'Figures are there; units, labels or uncertainty are not.',
            'Tables and graphs can be read without the text, with units and uncertainty.',
            'What is shown answers the question at a glance, and nothing inconvenient is left out.',
        ], [
            'Check every number in the text against its table.',
            'Give each axis a name and a unit, each value its uncertainty.',
            'Remove what the reader does not need for the answer.',
        ]),
        $criterion(4, 'Conclusions', '25', 'Do they follow from the results, and only from them?', [
            'Conclusions are missing, or do not rest on the results.', 'Conclusions repeat the results.',
            'The question is answered, as firmly as the results allow.',
            'The answer is weighed against its limits, and what to do next follows.',
        ], [
            'Answer the question of your first page in its own words.',
            'Say how sure you are, and what that rests on.',
            'Say what you would do on Monday if the report were yours to act on.',
        ]),
        $criterion(5, 'Presentation', '10', 'Can a busy reader find what they need?', [
            'No summary; parts are hard to find.', 'A summary announces what the report will do.',
            'The summary says what was found; headings lead.', 'The summary alone would be enough for a decision.',
        ], ['Write the summary last, and put the answer in its first line.']),
    ]),
    $rubric('Spoken presentation', $levels(
        ...['Beginning' => '2', 'Growing' => '5', 'Assured' => '8', 'Compelling' => '10']
    ), [
        $criterion(1, 'Message', '30', 'What would a listener tell a friend afterwards?', [
            'Several topics, none of which stays.', 'One topic; its point comes late or not at all.',
            'One point, said early and kept to.', 'One point that the listener can repeat, with the reason for it.',
        ], [
            'Write the one sentence you want them to remember.', 'Say it in the first minute.',
            'Leave out the best thing that does not serve it.',
        ]),
        $criterion(2, 'Knowledge', '30', 'Does the speaker know more than is said?', [
            'The talk is read out, and questions cannot be answered.',
            'The ground is covered; questions lead back to the slides.',
            'Questions are answered with further examples.',
            'Questions open something new, and what is not known is said plainly.',
        ], ['Prepare three questions you are afraid of.', 'Have one example in hand that is not on a slide.']),
        $criterion(3, 'Delivery', '20', 'Is the talk spoken to these listeners?', [
            'Hard to hear or to follow; no one is looked at.', 'Audible; pace and pauses do not help the listener.',
            'Clear and steady, spoken to the room.', 'Voice, pause and movement carry the thought.',
        ], ['Speak it once standing up, to a clock.', 'Stop after each main point and look up.']),
        $criterion(4, 'What is shown', '10', 'Do slides, objects or sketches help to see it?', [
            'Slides are the talk, in small print.', 'Slides repeat what is said.',
            'Each shows one thing that words could not.',
            'Each is read out for the listener, and gone when it has served.',
        ], ['Take every sentence off the slides.']),
        $criterion(5, 'Time', '10', 'Did it end when it should?', [
            'More than a quarter over or under.', 'Off by up to a quarter.', 'Within a tenth of the time.',
            'To the minute, without hurry at the end.',
        ], [], ['overrides' => ['l1' => '0']]),
    ]),
    $rubric('Lab notebook', $levels(...['Missing' => '0', 'Partial' => '4', 'Complete' => '8', 'Exemplary' => '10']), [
        $criterion(1, 'Record', '35', 'Was it written as it happened, so that it can be trusted?', [
            'Entries are missing or were written up afterwards.',
            'Most sessions are there; times, amounts or changes are not.',
            'Every session is dated, with amounts, readings and what went wrong.',
            'Another person could take over in the middle of an experiment.',
        ], ['Write the date and time before you touch anything.', 'Strike out, never erase, and say why.']),
        $criterion(2, 'Data', '25', 'Are readings whole, with units and uncertainty?', [
            'Readings are missing.', 'Readings stand without units or precision.',
            'Readings have units, precision and instrument.',
            'Readings are repeated where it matters, and odd ones are followed up.',
        ], ['Rule the table before you begin, with a unit in each heading.']),
        $criterion(3, 'Thinking', '25', 'Does the notebook think?', [
            'Nothing is said about what is seen.', 'Results are named as expected or not.',
            'Surprises are questioned, and the next step follows from them.',
            'Explanations are proposed, tested and given up where they fail.',
        ], ['End each session with one question.', 'Say what reading would prove you wrong.']),
        [
            'id' => 'c4', 'title' => 'Sketches', 'purpose' => 'Set-ups drawn and labelled, for sessions that used one',
            'weight' => '5', 'kind' => 'scale', 'min' => '0', 'max' => '5', 'step' => '1', 'optional' => true,
        ],
        ['id' => 'c5', 'title' => 'Safe working', 'purpose' => 'Each was seen in the notebook or at the bench', 'weight' => '10', 'kind' => 'checklist', 'optional' => false, 'items' => [
            ['id' => 's1', 'title' => 'Risks of the session named before it began', 'points' => '2'],
            ['id' => 's2', 'title' => 'Protective equipment listed and worn', 'points' => '2'],
            ['id' => 's3', 'title' => 'Waste and its disposal recorded', 'points' => '1'],
        ]],
    ]),
    $rubric('Portfolio', $four, [
        $criterion(1, 'Selection', '25', 'Do the pieces together show something that one alone does not?', [
            'Pieces are gathered, not chosen.', 'Each piece is good; why these is not said.',
            'The choice shows range, and says why.', 'The choice makes an argument about the work and its maker.',
        ], [
            'Take one piece out and say what is lost.',
            'Write the title of an exhibition that would hold exactly these pieces.',
        ]),
        $criterion(2, 'Quality', '40', 'Is the work itself accomplished?', [
            'Work is unfinished, or below what was practised.', 'Finished work that follows what was shown.',
            'Sound work that uses what was shown for ends of its own.',
            'Work that could stand before people of the field.',
        ], [
            'Bring one piece to an end you can defend.',
            'Choose the piece where you departed from the example, and go further.',
        ]),
        $criterion(3, 'Development', '20', 'Can change be seen, and what brought it about?', [
            'Pieces could stand in any order.', 'Later pieces are better; how is not shown.',
            'Drafts or earlier versions show what changed and why.',
            'Setbacks are used: the reader sees what each one taught.',
        ], ['Put a first version beside a last one, and name three differences.']),
        $criterion(4, 'Commentary', '15', 'Does the maker see the work clearly?', [
            'The commentary describes.', 'The commentary praises or apologises.',
            'Strengths and limits are named at particular places.',
            'Particular judgements lead to a next piece of work.',
        ], ['Point at a place in the work for every adjective.']),
        [
            'id' => 'c5', 'title' => 'A word on what to make next',
            'purpose' => 'The marker writes; nothing is scored', 'weight' => '0', 'kind' => 'comment',
            'optional' => false,
        ],
    ]),
    $rubric('Discussion', $levels(
        ...['Absent' => '0', 'Present' => '4', 'Contributing' => '7', 'Moving it on' => '10']
    ), [
        $criterion(1, 'Contributions', '40', 'Does what is said add to what is known?', [
            'Nothing, or agreement alone.', 'Opinions, not tied to the reading.',
            'Points tied to the reading, with a reason.', 'Points that give the others something to work with.',
        ], ['Bring one sentence of the reading that puzzles you.', 'Say why someone might think otherwise.']),
        $criterion(2, 'Response', '35', 'Are others heard?', [
            'Others are not answered.', 'Answers are polite, and beside the point.',
            'Answers take up what was said and go on from it.',
            'Others are drawn in, put at their best, and brought together.',
        ], [
            'Begin with what the other person said.', 'Put their view in words they would accept before you answer it.',
        ]),
        $criterion(3, 'Preparation', '15', 'Was the reading done?', [
            'No sign of it.', 'Parts of it.', 'All of it, with places to point at.',
            'All of it, and something beside it.',
        ]),
        $criterion(4, 'Timeliness', '10', 'Could others still use it?', [
            'After the discussion had closed.', 'At the very end.', 'While others could answer.',
            'Early enough to shape it.',
        ], [], [
            'unused' => ['l4'],
            'descriptors' => [
                'l1' => 'After the discussion had closed.', 'l2' => 'At the very end.',
                'l3' => 'While others could answer.',
            ],
        ]),
    ]),
    $rubric('Observed procedure', $levels(...['Unsafe' => '0', 'With help' => '5', 'Alone' => '10']), [
        ['id' => 'c1', 'title' => 'Before', 'purpose' => 'Tick what you see done, in any order', 'kind' => 'checklist', 'weight' => '0', 'optional' => false, 'items' => [
            ['id' => 's1', 'title' => 'Introduces themselves and says what will happen', 'points' => '2'],
            [
                'id' => 's2', 'title' => 'Checks that this is the right person, specimen or machine, by two marks',
                'points' => '4',
            ],
            ['id' => 's3', 'title' => 'Cleans hands or puts on fresh gloves', 'points' => '3', 'reminder' => 'And again whenever something else was touched.'],
            ['id' => 's4', 'title' => 'Lays out everything needed within reach', 'points' => '2'],
        ]],
        ['id' => 'c2', 'title' => 'During', 'purpose' => 'Tick what you see done; partly when prompted', 'kind' => 'checklist', 'weight' => '0', 'optional' => false, 'items' => [
            ['id' => 's1', 'title' => 'Follows the steps in their order', 'points' => '6', 'reminder' => 'Partly: once prompted. A step left out that was noticed and made good counts as done.'],
            ['id' => 's2', 'title' => 'Keeps the clean field clean', 'points' => '4'],
            ['id' => 's3', 'title' => 'Says aloud what is being done and why', 'points' => '3'],
            ['id' => 's4', 'title' => 'Notices when something is not as it should be, and stops', 'points' => '6'],
        ]],
        ['id' => 'c3', 'title' => 'After', 'purpose' => 'Tick what you see done', 'kind' => 'checklist', 'weight' => '0', 'optional' => false, 'items' => [
            ['id' => 's1', 'title' => 'Disposes of sharps and waste at once', 'points' => '4'],
            ['id' => 's2', 'title' => 'Leaves the place as it was found', 'points' => '2'],
            ['id' => 's3', 'title' => 'Writes the record before leaving', 'points' => '4'],
        ]],
        $criterion(4, 'Judgement on the whole', '0', 'Would you let this person do it tomorrow?', [
            'Had to be stopped.', 'Could do it beside someone experienced.', 'Could do it alone.',
        ], ['Practise the order of steps until it needs no thought.', 'Say aloud what you check, each time.']),
        [
            'id' => 'c5', 'title' => 'What was seen', 'purpose' => 'Notes taken while watching', 'weight' => '0',
            'kind' => 'comment', 'optional' => false,
        ],
    ], ['weighting' => 'points']),
    $rubric('Reflection, as a whole', [
        ['id' => 'l1', 'title' => 'Tells', 'points' => '0', 'upto' => '39'],
        ['id' => 'l2', 'title' => 'Describes', 'points' => '40', 'upto' => '49'],
        ['id' => 'l3', 'title' => 'Examines', 'points' => '50', 'upto' => '59'],
        ['id' => 'l4', 'title' => 'Reflects', 'points' => '60', 'upto' => '69'],
        ['id' => 'l5', 'title' => 'Transforms', 'points' => '70', 'upto' => '100'],
    ], [
        $criterion(1, 'The reflection as a whole', '100', 'Read it through once, then place it; choose points inside the level by how firmly it stands there', [
            'Tells what happened, in order. Nobody in it changes their mind.',
            'Describes what happened and how it felt. Reasons are given after the fact.',
            'Looks at what happened from more than one side, the writer’s own part included. Ideas from the module are named.',
            'Questions what was taken for granted. Ideas from the module explain why it went as it did, and what the writer would do otherwise follows from that.',
            'Shows a way of seeing that has changed, where it came from and what it still cannot account for. A reader could act on it.',
        ], [
            'Choose the one moment that you keep coming back to, and begin there.',
            'Ask how someone else in the room would tell it.',
            'Find the idea from the module that makes you least comfortable here, and use it.',
            'Say what you now doubt that you did not doubt before.',
        ]),
    ], ['points_shown' => false]),
];

<?php

declare(strict_types=1);

/*
 * A small module that talks: everyone here is made up. Posts are [who, day, hour, minute, what it answers, text]; who
 * is
 * the place of a student in the list, or "staff"; what it answers is the number of a post before it in its topic.
 */
$criterion = fn (string $id, string $title, string $purpose, string $weight, array $descriptors): array => [
    'id' => $id, 'title' => $title, 'purpose' => $purpose, 'weight' => $weight, 'kind' => 'levels', 'optional' => false,
    'descriptors' => $descriptors, 'guidance' => [], 'overrides' => [], 'unused' => [],
];

return [
    'module' => ['HT130', 'Arguing about the Shore'],
    'tutor' => ['Marisol Echeverri-Blake', 'marisol.echeverri-blake'],
    'second' => ['Wanjiru Halloran', 'wanjiru.halloran'],
    'students' => [
        ['Abena Osei-Whitlock', 'abena.osei-whitlock', 'M231301', 'A'],
        ['Cathal Mac Giolla Bhríde', 'cathal.macgiolla', 'M231302', 'A'],
        ['Divya Subramaniam', 'divya.subramaniam', 'M231303', 'A'],
        ['Eirlys Pritchard', 'eirlys.pritchard', 'M231304', 'A'],
        ['Fumiko Arai', 'fumiko.arai', 'M231305', 'A'],
        ['Goran Vuković', 'goran.vukovic', 'M231306', 'A'],
        ['Heledd Bowen-Nkemelu', 'heledd.bowen-nkemelu', 'M231307', 'B'],
        ['Ivo Tamm', 'ivo.tamm', 'M231308', 'B'],
        ['Jacinta Mwale', 'jacinta.mwale', 'M231309', 'B'],
        ['Kerensa Trevanion', 'kerensa.trevanion', 'M231310', 'B'],
        ['Lamine Diarra', 'lamine.diarra', 'M231311', 'B'],
        ['Mirela Popović-Hart', 'mirela.popovic-hart', 'M231312', 'B'],
    ],
    'rubric' => [
        'title' => 'Arguing with others', 'weighting' => 'percent', 'decimals' => 1,
        'levels' => [
            ['id' => 'l1', 'title' => 'Not there', 'points' => '0'], ['id' => 'l2', 'title' => 'In places', 'points' => '45'],
            ['id' => 'l3', 'title' => 'Mostly', 'points' => '60'], ['id' => 'l4', 'title' => 'Throughout', 'points' => '75'],
            ['id' => 'l5', 'title' => 'And beyond', 'points' => '95'],
        ],
        'criteria' => [
            $criterion('c1', 'Claims and grounds', 'Does each post say one thing, and where it rests?', '50', [
                'l1' => 'Opinions.', 'l2' => 'A claim; its ground is not shown.', 'l3' => 'Claims, with a line of a document for some.',
                'l4' => 'Claims, each with its line.', 'l5' => 'Claims with their lines, and what would speak against them.',
            ]),
            $criterion('c2', 'Answering', 'Is the best form of what others say taken up?', '35', [
                'l1' => 'Nobody is answered.', 'l2' => 'Agreement or its opposite.', 'l3' => 'What others said is taken up.',
                'l4' => 'What others said is taken up and tested.', 'l5' => 'The talk goes on from there; own claims change with it.',
            ]),
            $criterion('c3', 'Expression', 'Can it be read at once?', '15', [
                'l1' => 'Unclear.', 'l2' => 'Often unclear.', 'l3' => 'Clear.', 'l4' => 'Clear and short.', 'l5' => 'Clear, short and exact.',
            ]),
        ],
    ],
    'over' => [
        'title' => 'Who should have paid for the light?',
        'brief' => "Two weeks, in which you argue and answer each other. Read the two documents on lighthouse dues in the reader first.\n\nA good post makes one claim and gives the line of the document it rests on. A good reply takes the best form of what it answers, and moves it on.",
        'topics' => [
            [
                'Who should have paid?',
                'The dues were taken from every ship that passed, whether or not it put in. Was that fair? Rest what you say on a line of one of the two documents.',
                [
                    [0, 1, 10, 5, null, "I say the ships. The petition of the masters admits it in its own words: they *“do steer by it in all weathers”*. Who steers by a light uses it, even if he never comes ashore.\n\nWhat they object to is not paying but paying **by tonnage**, and the petition hides that until its last line."],
                    [1, 1, 11, 40, 0, 'That is the strongest point in it, but using is not asking. I pass under street lamps that I never asked for. The masters say the light was built by the board for its own wharf, so they got a benefit that somebody else wanted. If a benefit is forced on me, do I owe for it?'],
                    [2, 1, 14, 12, 1, 'Cathal, the lamp is a good comparison but it works against you: lamps are paid by everyone in the street because nobody can be kept out of their light. The board’s minute says the same: a light *“cannot be shuttered against those who have not paid”*. So either all pay or none will build it.'],
                    [3, 1, 16, 50, null, "Nobody here has asked who did **not** pass. The minute gives 214 dues in the first year and 131 in the third. Perhaps fewer ships came; perhaps they went outside the bank to avoid it.\n\nIf that is so the due did not pay for safety, it sent ships into danger. I think a charge that drives people from the thing it pays for is a bad charge, fair or not."],
                    [4, 2, 9, 20, 3, 'This changed my mind. I wanted to write that the due was fair because it was the same for all. But the same for all is not the same when one can go round. Only ships that could stand the sea outside could go round: the large ones. So the small ones paid for the light and the large ones did not.'],
                    [0, 2, 10, 45, 4, 'Fumiko, yes, and that answers my own point about tonnage too. A due by tonnage falls on large ships only as long as they cannot leave. I take back *“the ships”* and say: the wharf, since it could not go round anything.'],
                    [5, 2, 13, 15, null, 'I think the ships should have paid because they used the light. If you use something you should pay for it. It was also very useful for the town and for everyone.'],
                    [1, 2, 15, 30, 6, 'Goran, which line says it was useful for the town? I looked and the minute only says that the wharf took more ships in the first winter. That may be the light or the dredging, which was done in the same autumn.'],
                    ['staff', 3, 9, 0, null, 'You have found the question under the question: a charge changes who is there to pay it. Before you go on, each of you look at the column *“outward”* in the minute once more. It is not the same ships.'],
                    [3, 3, 11, 10, 8, 'Then my fall from 214 to 131 is partly made of ships that were counted inward only from the second year on. I should have read the heading. What is left of it: outward alone falls from 90 to 71, which is still a fifth.'],
                    [2, 3, 12, 5, 9, "> outward alone falls from 90 to 71\n\nA fifth in two years of bad herring is not so much. Eirlys, could you say what you would expect without the due? Otherwise we call every fall an effect of it."],
                ],
            ],
            [
                'A light for sale',
                'In the third year a merchant offers to run the light for a fixed sum and keep the dues. Write the board’s answer, or argue with one that stands here.',
                [
                    [2, 4, 10, 0, null, 'The board thanks the merchant and declines. He will keep the light as long as the dues exceed his oil, and not a night longer. The board keeps it on the nights when nobody pays, and those are the nights it is for.'],
                    [0, 4, 11, 25, 0, 'Could the board not write that into the contract: so many hours of light a night, and a fine for each that is dark? Then his profit is what he saves, and the risk of the bad years is his and not the town’s.'],
                    [4, 4, 13, 40, 1, 'Who would count the dark hours? The keeper is his man. In the minute the board already has trouble to learn from its own keeper why the lamp was out on two nights of March.'],
                    [5, 5, 20, 55, null, 'The board should accept because the merchant pays a fixed sum and it is good for the board.'],
                ],
            ],
        ],
        'later' => [3, 'I found the harbour log for the second year in the other reader: 96 outward. So it was 90, 96, 71, and my fifth is the third year alone.'],
    ],
    'now' => [
        'title' => 'The sea wall or the marsh',
        'brief' => "The town can raise the sea wall or give the lower marsh back to the tide, not both. Argue it through in your section.\n\nSay early what you think, then answer at least two people who do not agree with you.",
        'topics' => [
            [
                'Hold the line?',
                'Should the wall be raised? Say what it would protect, and whom it would not.',
                [
                    [0, -6, 18, 30, null, 'Raise it. Behind the wall lie the school, the net lofts and ninety houses; before it lies a meadow that floods anyway. A town that gives up its lower street gives up the people who cannot afford the upper one.'],
                    [1, -6, 19, 5, null, 'The wall protects what is behind it **from the sea** and from nothing else. In the flood of the reader (document 3) the water that came into Chapel Row was rain that could not get out. A higher wall would have made that worse, unless it came with a sluice, and no one has said who works a sluice at two in the morning.'],
                    [2, -5, 9, 40, 1, 'Document 3 is about a wall without a culvert. The plan in document 5 has two. So this is an argument against the old wall and not against a new one.'],
                    [3, -5, 12, 15, null, 'I grew up behind such a wall. What nobody writes down is that people stop looking at the sea. My grandmother knew from the colour of the creek when to carry the flour upstairs; I did not. A wall keeps out water and it keeps out knowing.'],
                    [4, -5, 17, 50, 3, 'I like this, but can a council decide by it? If knowing were lost by walls then the wall that stands has done it already, and we would have the harm without the protection.'],
                    [0, -4, 8, 20, 3, 'Eirlys, that moved me and I still think it points to drills and bells, not to taking the wall down. Could we have both: the wall, and a duty to ring?'],
                    [5, -4, 21, 10, null, 'The wall should be raised because the sea is rising and many people live there. Safety is the most important thing for everyone in the town.'],
                    [1, -3, 10, 30, 0, "> A town that gives up its lower street gives up the people who cannot afford the upper one.\n\nOnly if it gives up the people with the street. Document 6 sets the cost of the wall beside the cost of new houses on the upper field. They are nearly the same sum. Spend it on the houses, Abena, and nobody is given up."],
                    [2, -2, 11, 45, 7, 'The upper field belongs to the owner of the lofts. Whoever builds there pays him first. I looked for that cost in document 6 and it is not in the sum.'],
                ],
                [
                    [6, -6, 20, 15, null, 'No. The wall is a promise for forty years made by people who will be gone in ten. The marsh asks for nothing but to be left alone, and it rises with the sea by itself: document 4 measures four millimetres a year.'],
                    [7, -5, 8, 50, 0, 'Four millimetres where the mud is plentiful. In the same table the seaward edge loses ground each winter. A marsh that rises in the middle and is eaten at the edge is not a defence, it is a delay.'],
                    [8, -5, 13, 0, 0, 'Heledd, who is the promise to? If to the people who live there now, forty years is their lives, and a promise of that length is not a small thing.'],
                    [9, -4, 15, 35, null, 'Both sides speak of protecting houses. The brief says *the town*. The largest employer is the oyster ground, and the oysters live in what the wall would cut off. Raise the wall and you protect the houses of people who then have no work in them.'],
                    [6, -3, 9, 10, 1, 'A delay is what a wall is too. The question is which delay leaves more behind when it ends: a breached wall leaves salt water with no way out, a drowned marsh leaves mud.'],
                    [10, -1, 16, 20, 3, 'I did not know about the oysters. Is there a number for how many work there? In document 2 it says “some forty hands in the season”, which is fewer than those who live in Chapel Row.'],
                ],
            ],
            [
                'Who decides?',
                'The vote was open to those who paid rates. Should it have been? Who else had a stake, and how would one ask them?',
                [
                    [2, -3, 14, 5, null, 'Rates were paid by owners. In Chapel Row eleven houses had three owners, and all three lived on the hill. So the vote on the wall was a vote of people who would stay dry either way. I do not say that they voted badly. I say that being right by luck is no way to decide.'],
                    [0, -2, 18, 25, 0, 'But then who asks the fishing families who are at sea on the day? Even a vote of everyone is a vote of everyone who is there. Document 7 says the meeting was moved to a Sunday for that reason, which nobody had to do.'],
                    [3, -1, 20, 40, null, 'There is one group that no vote can ask: those who will live there later. A wall binds them to keep it up. I would give the marsh the benefit of the doubt for that alone: it can be turned into a wall in ten years, and a wall cannot be turned into a marsh.'],
                ],
                [
                    [6, -2, 9, 55, null, 'Everyone who drinks from the well. The wall changes where the fresh water goes, and the well is at its foot. I could find nobody in the documents who says so, which may mean that it was obvious or that nobody was asked.'],
                ],
            ],
        ],
        'taken_back' => [4, -4, 22, 5, 'I think whoever is for the marsh has never had wet feet.'],
        'flagged' => [7, -1, 21, 15, 'Kerensa clearly copied that from the oyster company’s leaflet, she did the same last year.', 'This says of me by name that I copied, and it is not true.'],
        'bell' => 'Read document 6 with its map beside it: the sum is for the wall *and* the road on it. What would the wall cost alone?',
    ],
    'viva' => [
        'title' => 'Speak for one side at the wall',
        'brief' => "Fifteen minutes: you speak for the side that you are given, for six minutes, then two people ask.\n\nBring the documents. Nothing is handed in.",
        'rules' => 'Who comes late has the time that is left. Who cannot come writes to their coordinator the same day; who does not come and does not write counts as having handed in nothing. You may begin again once, within the first minute.',
        'rubric' => [
            'title' => 'Speaking for a side', 'weighting' => 'percent', 'decimals' => 1,
            'levels' => [
                ['id' => 'l1', 'title' => 'Not there', 'points' => '0'], ['id' => 'l2', 'title' => 'In places', 'points' => '45'],
                ['id' => 'l3', 'title' => 'Mostly', 'points' => '60'], ['id' => 'l4', 'title' => 'Throughout', 'points' => '75'],
                ['id' => 'l5', 'title' => 'And beyond', 'points' => '95'],
            ],
            'criteria' => [
                [
                    'id' => 'c1', 'title' => 'What is to be heard', 'purpose' => 'Each step as it comes, in any order', 'weight' => '40',
                    'kind' => 'checklist', 'optional' => false, 'items' => [
                        ['id' => 's1', 'title' => 'Says whose side it is, and what that side wants', 'points' => '10', 'reminder' => 'In the first minute. Partly: only when asked.'],
                        ['id' => 's2', 'title' => 'Gives the line of a document for each claim', 'points' => '40', 'reminder' => 'Partly: for some of them.'],
                        ['id' => 's3', 'title' => 'Says what speaks against it before anyone asks', 'points' => '30'],
                        ['id' => 's4', 'title' => 'Keeps to six minutes', 'points' => '20', 'reminder' => 'The clock is yours; do not stop them before eight.'],
                    ],
                ],
                $criterion('c2', 'Argument', 'Does one thing follow from the other?', '40', [
                    'l1' => 'Assertions.', 'l2' => 'Steps are missing.', 'l3' => 'Most follows.', 'l4' => 'All follows.',
                    'l5' => 'All follows, and the weakest step is named.',
                ]),
                $criterion('c3', 'Questions', 'Are they heard and answered?', '20', [
                    'l1' => 'Passed over.', 'l2' => 'Answered beside the point.', 'l3' => 'Answered.', 'l4' => 'Answered, with what it rests on.',
                    'l5' => 'Answered; the answer changes what was said before.',
                ]),
            ],
        ],
        // Who is seen on the first day: how it goes, steps, levels and a note, by the first observer and by the second.
        'seen' => [
            ['usual', ['done', 'done', 'partly', 'done'], ['l4', 'l4'], 'Names the minute of 1868 by its page, twice.', ['done', 'done', 'done', 'done'], ['l4', 'l3']],
            ['late', ['done', 'partly', 'not', 'done'], ['l3', 'l3'], 'Came four minutes late from the bus; had all the time there was.', ['partly', 'not', 'not', 'partly'], ['l2', 'l3']],
            ['usual', ['partly', 'partly', 'done', 'partly'], ['l4', 'l5'], 'The second question turned it: she took back what she had said of the dues.', null, null],
            ['no-show', null, null, null, null, null],
        ],
    ],
];

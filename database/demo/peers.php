<?php

declare(strict_types=1);

/*
 * A small module whose students review each other: everyone here is made up. Of each student what staff give their
 * note, how far above others they mark (lean), and how unevenly (spread).
 */
return [
    'module' => ['HT120', 'Sources of the Shore'],
    'tutors' => [['Ysolde Garrick-Amadi', 'ysolde.garrick-amadi'], ['Pavle Stojan-Reeve', 'pavle.stojan-reeve']],
    'students' => [
        ['Amaru Quispe-Hale', 'amaru.quispe-hale', 64, 2, 3], ['Bryn Ellacott', 'bryn.ellacott', 58, -4, 4],
        ['Ceren Yıldız', 'ceren.yildiz', 71, 1, 3], ['Dáithí Mac an Rí', 'daithi.macanri', 49, 9, 6],
        ['Efua Sarpong-Lindqvist', 'efua.sarpong-lindqvist', 66, -1, 4],
        ['Gethin Vaughan-Ito', 'gethin.vaughan-ito', 55, 0, 14],
        ['Hoku Makanani', 'hoku.makanani', 61, -3, 3], ['Ilse Brandvold', 'ilse.brandvold', 43, 5, 5],
        ['Jovan Petrescu-Ames', 'jovan.petrescu-ames', 68, 0, 4], ['Kezia Thornbury', 'kezia.thornbury', 52, -6, 5],
    ],
    'note' => [
        'title' => 'Note on an object',
        'brief' => 'Choose one object from the study collection and write a note of about a hundred words: what it is, who made and used it, and what it cannot tell.',
        'texts' => [
            'The lead seal in tray four closed a sack of salt. One side bears a tide mill, the other a number that has been struck twice, as if somebody corrected it. The clerk of the pans kept a list of such numbers; the list for that year is lost. So the seal says that the sack was counted and by whom it was closed, and it says nothing of who raked the salt. I think the second number is the more telling: it shows a count that was argued over.',
            'This is a net needle made of apple wood. It is worn on one side more than on the other, which means that a left-handed person used it. Needles were made at home in winter. A needle like this could make a net in about three weeks. The museum card says that it came from Sallow Bay but does not say who gave it. Net braiding was women’s work and it was paid by the piece.',
            'A tally stick, split along its length: this is the half that the debtor kept. Eleven notches, the last two cut by another hand and with another knife. If both halves were cut at once, as was the rule, the last two would match; the other half is in the harbour office, and has nine. The stick is thus a small fraud, or a debt that grew after it was agreed. Which of the two it was depends on who kept the knife, and no document of the office says so.',
            'The bell is from the quarantine house. It is made of bronze and has a crack. Bells were rung when a ship was let in. It was very important for the people who lived there because they had to wait. The crack maybe came from ringing it too much. In my opinion it is one of the most interesting objects in the collection.',
            'The pilot’s tin lamp has three panes of horn and one of red glass. Red was for the harbour mouth. The horn is older than the red pane: its edge has been filed to fit, so the lamp was changed for a rule that came after it was made. The by-law of the pilots asks for a red light from a certain year on; the lamp cannot be dated by its maker, but by that pane it can. Nobody recorded what it cost to change.',
            'A herring knife. The handle is made of bone and the blade was sharpened many times so it is short now. Gutting was done on the quay by women who came with the fleet. They were fast, up to sixty fish in a minute according to a letter. The knife has two letters on it, M and R. I could not find out who that was. It shows how hard the work was.',
            'The rope gauge from the ropewalk is a brass plate with eleven holes. A rope that went through one hole and not through the next had that size, and was paid by it. The ninth hole is wider at the back than in front: it has been reamed. A rope too thin for its price would then pass as thick enough. The foreman held the gauge. It is a measure, and like all measures it belonged to somebody.',
            'A piece of a buoy. It is made of cork and painted. The paint is white and red. Buoys show where the rocks are. Ships need them at night and in fog. This one was found on the beach.',
            'The ledger page is not an object one would choose for its look, but its margin is ruled by hand and the rest by machine. The machine lines give the columns that the board asked for: date, vessel, dues. The margin was added by whoever kept the book, and it holds what did not fit: a name, a debt, twice the word “again”. Read across, the page is an account; read down its margin, it is a memory. It cannot tell why those and not others were worth a line.',
            'A child’s wooden boat, carved from a piece of herring barrel: one stave still shows the cooper’s mark. Toys were made from what was there. It has been mended with a nail that is too large. The donor says that it belonged to her grandfather who lived at the Ness. I believe it because the mark is that of the Ness cooperage, although barrels travelled.',
        ],
    ],
    'letter' => [
        'title' => 'A letter to the harbour board',
        'brief' => 'Write to the harbour board of a year of your choice, as someone who lived there then, and ask for one thing. Use at least two documents of the time.',
        'texts' => [
            'To the board. We who work the upper pans ask that the sluice be opened an hour sooner on spring tides. Your own table of the year shows eleven days on which the water came to us too late to be let in, and on each the miller below had ground his full measure. We do not ask for his water, only for its hour.',
            'Dear sirs, I write because of the light dues. My boat is small, and she pays what a brig pays. The act says by the vessel and not by the ton. I ask that it is changed. My neighbours think the same.',
            'To the gentlemen of the board. The rope sold to the fleet last winter was under its size, and two boats lost their gear by it. The gauge is in the foreman’s own keeping. I ask that a second gauge hang in the open, where who buys may lay a rope to it, as the by-law of the weights already asks for bread.',
            'Dear board, please build a new quay. The old one is broken and many people fell. It would be good for everyone and bring more ships and money. Thank you very much.',
            'To the harbour board. As keeper of the quarantine house I ask for one more boat. By the book of arrivals nine ships lay waiting on the last day of May, and by my own count there were thirty-one women and children aboard them. Water reached them by one boat, twice. I send the list with their names, which your book does not hold.',
            'Sirs, the fish weir at the Ness has been closed to us since the spring, under an order that speaks of boats. A weir is no boat. My father’s name stands among those who paid for it in your receipt of forty years ago, which I can show. I ask that the order be read as it is written.',
            'To the board. I gut herring in the season and braid nets out of it. Last year the price was set after the work was done. I ask that it be set before, and be chalked where we can read it. The letter of the agent, which I copy here, promises it; the paybook of September shows what came of it.',
            'Dear board. The lifeboat needs new oars. It has six and should have ten. In the report of the storm it says that the boat turned back. That is because of the oars. I ask for four oars.',
        ],
    ],
    'trial' => [
        'title' => 'A note of an earlier year: the oyster tongs',
        'text' => 'The tongs are of ash and iron, longer than a man. One arm is newer than the other; it has been replaced by someone who did not have the pattern and made it from the old arm, worn as that was. So the tongs close crooked. They were used all the same: the iron is bright. The card says “oyster tongs, about 1840”, which is the year of the licence and not of the tongs. Who could not afford new ones kept these.',
        'aims' => ['c1' => 'l4', 'c2' => 'l3', 'c3' => 'l4'],
        'why' => [
            'c1' => 'It stays with the one crooked arm and makes something of it. What the tongs cannot tell is only hinted at.',
            'c2' => 'A date, and that the date is of something else: well seen. Who used them, and under what licence, is not asked.',
            'c3' => 'Short sentences that say one thing each. “Used all the same” says more than a paragraph.',
        ],
    ],
    // What reviewers write on each criterion, from low to high.
    'own_comments' => [
        'c1' => [
            'I name what it is made of and get no further. I looked at it for too short a time to say what follows from it.',
            'I begin with one detail, then I let it go. I was not sure that one was enough for a whole note.',
            'I stay with one detail and ask what it leaves out. I would do that part the same way again.',
        ],
        'c2' => [
            'I do not know when it was made, and I do not say so. I should have written what I looked for.',
            'Maker and date are there because the card has them. For whom it was made I guessed from the room it hangs in.',
            'I looked for the maker in two places and say what I found in each. For whom it was made is the weak point.',
        ],
        'c3' => [
            'I wrote it in one go and read it once. Some sentences are only there to get to the next one.',
            'It is clear, I think, but two sentences begin alike, and I saw it only after I had handed it in.',
            'I read it aloud and cut what I stumbled over. The last sentence took as long as all the others.',
        ],
    ],
    'comments' => [
        'c1' => [
            'You say what it is made of, but not yet what that tells us. Take one mark on it and ask how it came there, and stay with that for three sentences.',
            'You begin to read it closely and then go on to something general. Which detail would you keep if you could keep only one, and what follows from it?',
            'The detail you chose carries the whole note. I would like one more sentence on what it leaves out, because you are so close to saying it.',
        ],
        'c2' => [
            'I do not learn when it was made or for whom. Even if the card does not say, you can say what you looked for and did not find.',
            'Maker and date are there. What was it meant to do, and for whom? A by-law or a price list of the time would place it better.',
            'You place it by something that can be checked, and you say what cannot be known. Name the document so that a reader can find it.',
        ],
        'c3' => [
            'Some sentences could stand in any note. Cut those that say it is interesting or important, and the rest gets room to breathe.',
            'Clear to read. Two sentences begin in the same way; joining them would bring out how the one leads to the other.',
            'Every sentence does one thing, and the order serves what you want to say. I read it twice for pleasure and once for the review.',
        ],
    ],
    'next' => [
        'Choose the one observation that surprised you most, put it first, and let the rest answer it.',
        'Say at the end what the source cannot tell you; it makes what it does tell stronger.',
        'Name the document you rely on, with its year, in the sentence where you use it.',
    ],
    'answers' => [
        'I will move the repaired handle to the front and cut the second paragraph.',
        'I had not seen that the year is of the licence. I will look for the maker’s own book.',
        'You are right about the card; I will say what it leaves out, in one sentence at the end.',
    ],
    'learnt' => [
        'I thought the handle was the weak part of the note. They all say that it is the best, and that I leave it too soon.',
        'I gave myself Good for placing it, because I knew the year. Nobody could know from the page how I knew it.',
        'We agree on what it says and not on how it reads. I will read the next one aloud before I hand it in.',
    ],
    'walk' => [
        'title' => 'A walk in threes',
        'brief' => 'In threes and fours: walk from the slipway to the light, agree on five things that nobody would build today, and say of each who needed it. One text for the group.',
        'groups' => ['Group 1' => [0, 1, 2], 'Group 2' => [3, 4, 5], 'Group 3' => [6, 7, 8, 9]],
        'texts' => [
            'Five things: the coal chute, the horse ring, the salt store, the second light, the ladder with eleven rungs. The chute needed somebody below who shovelled; the ledger of 1871 pays him by the basket and never by name. The ring is worn on one side: the horses stood with their heads to the wind. The store has no window, since light draws water out of stone. The second light lined up with the first for whoever came from the south. Nobody needs the ladder now; the tide used to be two rungs lower.',
            'We chose what was repaired most, since what is repaired is needed. The winch has three makers’ plates. The steps have been turned round once each. The bell frame has new bolts in old holes. The boundary stone was moved twice, says the minute book, and both times back. The lamp bracket on the chandler’s wall is the fifth thing: it lit the queue for the ferry, which stopped in 1938, and someone still paints it.',
            'What nobody would build today is small: a hatch for letters in the pilot’s door, a shelf for one loaf at the bakehouse, a stone to sit on while the net dries, a drain that turns away from the church, a step cut for a child. We asked who needed each, and found in four of five that it was someone who waited. The drain is different. It was cut after the burial ground flooded in 1902, and the vestry paid.',
        ],
        'staff' => [68, 61, 72],
        'points' => [
            // By rater and rated, in the order of the group: on each of three criteria.
            [[[3, 3, 3], [3, 3, 3], [2, 3, 2]], [[3, 3, 3], [3, 3, 3], [3, 2, 2]], [[3, 3, 3], [3, 3, 3], [3, 3, 3]]],
            [[[4, 4, 4], [4, 3, 4], [1, 1, 1]], [[4, 3, 4], [4, 4, 4], [1, 1, 0]], [[2, 3, 3], [3, 3, 3], [3, 3, 3]]],
            [[
                [3, 3, 3], [4, 3, 3], [3, 3, 3], [3, 2, 2],
            ], [[3, 3, 3], [3, 3, 3], [3, 3, 3], [2, 3, 2]], [[3, 3, 3], [3, 3, 4], [3, 3, 3], [2, 2, 3]], null],
        ],
        'note' => 'She was in hospital for four days and told us so beforehand.',
        'reason' => 'In hospital from the Monday to the Thursday, told beforehand; the group agreed that she would write the last part instead.',
    ],
    'unkind' => 'Honestly this reads as if you wrote it on the bus. Next time put some effort in before you waste my evening.',
];

<?php

declare(strict_types=1);

/*
 * The large first-year module: everyone here is made up, their names put together from two lists. What each marker is
 * like: harsher by so many marks, and by how much marks fall from one script of a sitting to the next.
 */
return [
    'coordinator' => ['Hanne Villadsen-Okoro', 'hanne.villadsen-okoro'],
    'markers' => [
        [['Ewa Brzezicka', 'ewa.brzezicka'], 0.5, 0.0],
        [['Gethin Prosser', 'gethin.prosser'], -6.5, 0.0],
        [['Amara Nwachukwu-Hale', 'amara.nwachukwu-hale'], -0.4, 0.0],
        [['Teodor Ilves', 'teodor.ilves'], 7.6, -0.9],
        [['Keiko Marsh', 'keiko.marsh'], 0.3, 0.0],
        [['Río Etcheverry', 'rio.etcheverry'], 0.2, 0.0],
    ],
    'given' => [
        'Abena', 'Aksel', 'Bronagh', 'Cosmin', 'Dalia', 'Eirlys', 'Farid', 'Gwenllian', 'Hêlin', 'Ioana', 'Jarek',
        'Kofi',
        'Lucía', 'Moana', 'Nikhil', 'Oddný', 'Pascale', 'Rhodri',
    ],
    'family' => [
        'Adeyemi-Strand', 'Birkeland', 'Carrick', 'Delacroix-Mwangi', 'Eastwater', 'Fraser-Ito', 'Gallowglass',
        'Holmqvist',
        'Ivanova', 'Jorsal', 'Kittiwake', 'Lo',
    ],
    // A word of each list in each gap, so that no two pieces share a run of words.
    'pieces' => [
        'I chose {paper} of {year}, kept by {keeper}; {writer} wrote it in {place} and meant it for {reader}.',
        'It counts {goods}, since {reader} paid for {goods} and {keeper} had to answer in {place}; of {lack} it says nothing.',
        'Beside {paper} I read {paper}, where {writer} gives {year} and {goods} another name, so that {lack} may be {place} after all.',
        'What {writer} wanted was {want}; that is why {lack} is missing in {year} and why I believe {paper} about {goods} only.',
    ],
    'gaps' => [
        'paper' => [
            'a day book', 'a letter', 'the wreck list', 'a bill', 'the collection', 'a survey', 'a claim', 'a diary',
            'the lease', 'a will', 'the muster', 'a plan', 'the log',
        ],
        'year' => ['1741', '1758', '1763', '1779', '1782', '1791', '1803', '1811', '1826', '1834', '1849'],
        'keeper' => [
            'the harbour master', 'a widow', 'the chapel', 'an agent', 'the salt office', 'two brothers', 'the parish',
            'a pilot', 'the court',
        ],
        'writer' => [
            'a clerk', 'the surveyor', 'a daughter', 'somebody unnamed', 'the curate', 'a lessee', 'an officer',
            'the cooper', 'a schoolmaster', 'the ferryman',
        ],
        'place' => [
            'the quay', 'Sallow', 'a loft', 'the ice house', 'Gannet', 'the rope walk', 'Fleetgate', 'a boat',
            'the mill', 'Oxlade', 'the fold',
        ],
        'reader' => [
            'the board', 'his wife', 'a buyer', 'the trustees', 'nobody yet', 'the squire', 'an insurer',
            'the next tenant',
        ],
        'goods' => [
            'rope', 'salt', 'cockles', 'coal', 'barrels', 'sprats', 'timber', 'tar', 'oats', 'lamp oil', 'herring',
            'ballast', 'slate',
        ],
        'lack' => ['weather', 'women', 'wages', 'the drowned', 'children', 'debt', 'the tide', 'strangers', 'winter'],
        'want' => [
            'a pension', 'to be believed', 'a lower rent', 'the post himself', 'quiet', 'an heir', 'to be rid of it',
        ],
    ],
];

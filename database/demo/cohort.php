<?php

declare(strict_types=1);

/*
 * The large first-year module: everyone here is made up, their names put together from two lists. What each marker is
 * like: harsher by so many marks, and by how much marks fall from one script of a sitting to the next.
 */
return [
    'coordinator' => ['Hanne Villadsen-Okoro', 'hanne.villadsen-okoro'],
    'markers' => [
        [['Ewa Brzezicka', 'ewa.brzezicka'], 0.7, 0.0],
        [['Gethin Prosser', 'gethin.prosser'], -6.5, 0.0],
        [['Amara Nwachukwu-Hale', 'amara.nwachukwu-hale'], -0.4, 0.0],
        [['Teodor Ilves', 'teodor.ilves'], 5.5, -0.7],
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
    'sources' => [
        'the harbour master’s day book', 'a letter from the salt office', 'the wreck list of 1791',
        'a bill for tarred rope',
        'the chapel’s collection for the drowned', 'a survey of the sea wall', 'the widow’s claim to the cockle beds',
        'a customs officer’s diary', 'the lease of the ice house',
    ],
    'sentences' => [
        'It was written by someone who had to account for money, and it counts what could be counted.',
        'What it leaves out is the weather, which everyone who read it knew.',
        'I would set it beside the parish book before I believed the date.',
        'Its writer wanted a pension, and the tone of the last lines says so.',
    ],
];

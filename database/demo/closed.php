<?php

declare(strict_types=1);

/*
 * The module of the term before, whose marks are all in: everyone here is made up. For each student what they come to
 * in each assignment; null: nothing handed in.
 */
return [
    'tutors' => [['Ottilie Vance-Abara', 'ottilie.vance-abara'], ['Matiu Rautahi', 'matiu.rautahi']],
    'assignments' => [
        'essay' => 'Essay: who paid the toll', 'exam' => 'Map examination', 'resit' => 'Map examination, resit',
        'w1' => 'Tide table 1', 'w2' => 'Tide table 2', 'w3' => 'Tide table 3',
    ],
    'students' => [
        ['Noor Haldane', 'noor.haldane', ['essay' => 66, 'exam' => 71, 'w1' => 62, 'w2' => 74, 'w3' => 58]],
        [
            'Bartholomew Quayle-Osei', 'bartholomew.quayle-osei',
            ['essay' => 58, 'exam' => 33, 'resit' => 52, 'w1' => 60, 'w2' => 55, 'w3' => 61],
        ],
        ['Yuki Tremayne', 'yuki.tremayne', ['essay' => 61, 'exam' => null, 'w1' => 70, 'w2' => 66, 'w3' => 64]],
        [
            'Sibéal Mac Aodha', 'sibeal.macaodha',
            ['essay' => 52, 'exam' => 36, 'resit' => 35, 'w1' => 48, 'w2' => null, 'w3' => 55],
        ],
        ['Teodora Vlădescu', 'teodora.vladescu', ['essay' => 72, 'exam' => 68, 'w1' => 75, 'w2' => 71, 'w3' => null]],
        ['Ikaika Nohea', 'ikaika.nohea', ['essay' => 45, 'exam' => 47, 'w1' => 42, 'w2' => 50, 'w3' => 44]],
        ['Wren Ashgrove', 'wren.ashgrove', ['essay' => 69, 'exam' => 62, 'w1' => 68, 'w2' => 63, 'w3' => 70]],
        [
            'Chidinma Eze-Larsen', 'chidinma.eze-larsen',
            ['essay' => 57, 'exam' => 60, 'w1' => 59, 'w2' => 61, 'w3' => 57],
        ],
        [
            'Anselm Þorgeirsson', 'anselm.thorgeirsson',
            ['essay' => 38, 'exam' => 44, 'w1' => 36, 'w2' => null, 'w3' => 41],
        ],
        ['Mirela Dunmore', 'mirela.dunmore', ['essay' => 63, 'exam' => 58, 'w1' => 66, 'w2' => 60, 'w3' => 62]],
        ['Kasimir Old-Bell', 'kasimir.old-bell', ['essay' => 49, 'exam' => 53, 'w1' => null, 'w2' => 51, 'w3' => 56]],
        ['Fionnuala Xu', 'fionnuala.xu', ['essay' => 76, 'exam' => 73, 'w1' => 78, 'w2' => 70, 'w3' => 81]],
    ],
    'brief' => 'One page. Say what the document gives, and what it leaves out.',
    'text' => 'The {n} toll of the old quay was asked of whoever came in on the tide. The book for it has a column for the boat, one for what she carried and one for who paid; the last is often empty. In {place} the pans paid in salt, and in the year of the long frost they paid nothing. I read the column of names beside the parish list, and I find {count} of them there twice.',
    'places' => ['Sallow Bay', 'Eastwater', 'Corrie Head', 'the Ness', 'Old Harbour', 'Saltings'],
];

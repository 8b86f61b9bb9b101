<?php

declare(strict_types=1);

/*
 * "One shore, two surveys": short pieces, one for each student who handed in, put together from what each says of a place,
 * of its two surveys and of what changed. Made up.
 */
$places = [
    'Gannet Stairs' => ['a flight of nine steps to a rock where boats were drawn up', 'eleven boats', 'two, and a bathing hut'],
    'Pannier Quay' => ['a short quay of split stone with one crane', 'the crane and a weigh-house', 'neither; a tea room stands on the footing'],
    'Sallow Point' => ['a spit with a beacon of tarred wood', 'the beacon, named', 'a dotted circle and no name'],
    'Widow’s Hard' => ['a gravel slope where widows held the right to land cockles', 'a dozen plots along it, numbered', 'a single plot, belonging to the railway'],
    'Brinepan Cottages' => ['a row of five behind the old pans', 'five roofs and a boiling house', 'six roofs, the boiling house among them'],
    'Oxlade Mill' => ['a tide mill with a pond of two acres', 'the pond, the sluice and a race', 'a football ground in the outline of the pond'],
    'Ropewalk Lane' => ['a straight lane of four hundred yards', 'one long roof beside it', 'forty short ones'],
    'Skerry Light' => ['a light on a rock, with a keeper’s garden', 'the garden, walled', 'the wall and nothing in it'],
    'Fleetgate' => ['the gate where the herring carts paid', 'a toll bar', 'a bend in the road that nothing explains'],
    'The Limepit' => ['two kilns and a barge dock', 'both kilns smoking, as the engraver saw them', 'one, drawn as a ruin'],
    'St Bride’s Fold' => ['a chapel and a fold for drift timber', 'the fold, with posts', 'the chapel alone'],
    'Cinder Bay' => ['a bay where colliers threw their ash', 'a black shore, hatched', 'a promenade on top of the hatching'],
];
$openings = [
    'I chose %s because it is small enough to know: %s.',
    'At %s one can put a foot on both surveys at once: %s.',
];
$middles = [
    'The survey of 1838 shows %s; that of 1911 shows %s. A map is made for somebody, and the first was made for the tithe, so it counts what pays. The second was made for builders and counts what can be built on.',
    'In 1838 the surveyor drew %s. In 1911 another, for another office, drew %s. Between them lies a railway, which neither of them mentions, and which explains more than what they drew.',
    'What stood there in 1838 was %s, if we believe a surveyor who was paid by the acre. What stood there in 1911 was %s. I have been, and the ground agrees with the second and remembers the first.',
];
$ends = [
    'I conclude that the shore did not change so much as its owners did. The line of high water is the same to a yard on both sheets.',
    'So the change is real, but its date is not on either map: for that one needs the rate book, in which the name goes out in 1874.',
    'My argument is modest. A map tells us what its maker was asked, and here the question changed from what is landed to who may walk.',
    'I would not call it decline. Fewer boats are drawn because boats were no longer what a survey was for; the landing tables of the same years rise.',
];
$pieces = [];
foreach (array_keys($places) as $n => $place) {
    foreach ([0, 1] as $k) {
        [$what, $then, $later] = $places[$place];
        $pieces[] = sprintf($openings[$k], $place, $what)."\n\n"
            .sprintf($middles[($n + $k) % 3], $then, $later)."\n\n".$ends[($n + 2 * $k) % 4]."\n";
    }
}

return $pieces;

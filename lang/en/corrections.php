<?php

declare(strict_types=1);

return [
    'kind' => [
        'constant' => 'A constant for every script',
        'line' => 'A constant and a factor for every script',
        'severity' => 'One marker’s severity taken out',
    ],
    'line' => [
        'constant' => 'All marks corrected',
        'line' => 'All marks corrected',
        'severity' => 'Corrected for how the first marker marks',
    ],
    'times' => 'multiplied by :factor',
    'added' => ':marks added',
    'taken_off' => ':marks taken off',
    'nothing' => 'nothing changed',
    'state' => [
        'asked' => 'waits for someone else to approve it',
        'approved' => 'approved: it moves marks',
        'refused' => 'refused',
        'taken-back' => 'taken back',
    ],
    'own_marks_open' => 'You have marks to make in this assignment. Corrections tell what others gave, so they open once yours are made.',
    'decided_already' => 'This correction is decided already. Nothing was changed.',
    'own' => 'You asked for this correction, so someone else decides on it: another coordinator, or a moderator of this assignment.',
    'themselves' => 'It is your own marks that it corrects, so someone else decides on it.',
    'released' => '{1} 1 result that it moves is released, and a released result does not change. Nothing was changed.|[2,*] :count results that it moves are released, and a released result does not change. Nothing was changed.',
    'moved' => '{0} It moves no mark that is agreed now.|{1} It moves 1 mark.|[2,*] It moves :count marks.',
    'open' => '{0} Every script has an agreed mark.|{1} 1 script has no agreed mark yet; it is moved when it has one that the correction is for.|[2,*] :count scripts have no agreed mark yet; they are moved when they have one that the correction is for.',
    'crosses' => '{0} Nobody crosses the pass line.|{1} 1 crosses the pass line (:up up, :down down).|[2,*] :count cross the pass line (:up up, :down down).',
    'bands' => '{0} Nobody changes band.|{1} 1 changes band.|[2,*] :count change band.',
    'clipped' => '{0}|{1} 1 would go beyond 0 or 100 and is held there.|[2,*] :count would go beyond 0 or 100 and are held there.',
    'order_kept' => 'No two different marks change places or become equal.',
    'order_changed' => 'Some marks change places or become equal.',
    'nobody' => 'Nobody else here can approve it: this module has no other coordinator, and this assignment no moderator but you.',
    'today' => 'A correction of marks that someone else asked for waits for your decision',
    'pack' => 'Corrections of marks. Agreed marks stand here as they were before; results are moved by:',
    'pack_line' => ':what, :how, approved :at',
    'since_sent' => ', since this was sent',
    'since_signed' => ', since this was signed',
    'release' => [
        'since_signed' => '{1} 1 correction was approved after the :reader signed: what was signed reads otherwise now. Results can go out; the reader of the pack sees the correction there.|[2,*] :count corrections were approved after the :reader signed: what was signed reads otherwise now. Results can go out; the reader of the pack sees them there.',
        'approved' => '{1} 1 correction moves marks here, and every result it moves says so.|[2,*] :count corrections move marks here, and every result they move says so.',
        'asked' => '{1} 1 correction waits to be approved: what is released before is not moved any more, and then it cannot be approved.|[2,*] :count corrections wait to be approved: what is released before is not moved any more, and then they cannot be approved.',
    ],
];

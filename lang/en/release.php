<?php

declare(strict_types=1);

return [
    // What a student reads of who marked how.
    'levels_of' => [
        'first' => 'The first mark, criterion by criterion:',
        'third' => 'The third mark, which decided, criterion by criterion:',
        'agreed' => 'The levels agreed, criterion by criterion:',
    ],
    'second_view' => [
        'blind' => 'Two markers marked your work without seeing each other’s marks.',
        'open' => 'Two markers marked your work, the second seeing the first mark.',
        'check' => 'Your work was marked, and a second marker checked the mark.',
    ],
    'whose_levels' => [
        'first' => 'The levels here are the first marker’s; the mark is the one settled from both.',
        'third' => 'They did not agree; the levels here are those of a third marker, who decided.',
        'agreed' => 'The levels here are those they agreed on, and the mark is their total.',
    ],
    'mail' => [
        'subject' => 'Your result for {assignment}',
        'body' => "Dear {name},\n\nyour result for {assignment} ({module}) is ready to read:\n\n{link}\n\nIt shows each criterion with the level you reached, and your marker’s comments.",
        'no_mark' => '{:word} is not filled in: a mark is read on the page, where only its student sees it, and never stands in a mail',
        'no_link' => 'it needs {link}, so that students find their result',
    ],
    'ticked_too' => 'You ticked scripts in the list, but did not choose “Those ticked in the list”. Nothing was released: choose it, or take the ticks away.',
    'absent' => '{1} 1 student handed in nothing.|[2,*] :count students handed in nothing.',
    'scope' => [
        'all' => 'All that are ready then',
        'sections' => 'Those of :sections that are ready then',
        'codes' => 'Those chosen by hand (:count) that are ready then',
    ],
    'replaced' => 'This is an earlier result, kept as it was. A corrected one took its place :at.',
    'what_changed' => 'This result took the place of an earlier one.',
    'as_of' => 'The earlier one, of :at',
    'is_provisional' => 'Provisional.',
    'is_provisional_why' => 'A board of examiners still has to confirm this mark, and may change it. You are told when it is final.',
    'is_confirmed' => 'Confirmed by the board of examiners :at.',
    'provisional' => '{1} 1 result is provisional|[2,*] :count results are provisional',
    'mail_failed' => '{1} 1 mail could not be sent|[2,*] :count mails could not be sent',
    'mail_waiting' => '{1} 1 mail is still to be sent.|[2,*] :count mails are still to be sent.',
    'left_out' => '{1} 1 was left out:|[2,*] :count were left out:',
    'was_late' => 'It was set for :at: the machine or its scheduler was not running then, and it went out when it was back.',
    'said_out' => '{1} 1 result is released; its student is being told by mail.|[2,*] :count results are released; their students are being told by mail.',
    'said_running' => '{1} 1 result is going out now.|[2,*] :count results are going out now, all in the same moment.',
    'said_set' => 'Set: results go out :at. You can move or stop it until then.',
    'comes_twice' => 'The clocks go back that night and show this time twice: it is the second of the two.',
    'said_stopped' => 'Stopped. Nothing goes out at that time.',
    'said_again' => '{0} No mail waits to be tried again.|{1} 1 mail is being tried again.|[2,*] :count mails are being tried again.',
    'said_confirmed' => '{1} 1 result is final now; its student is being told.|[2,*] :count results are final now; their students are being told.',
    'state' => [
        'set' => 'goes out :at',
        'running' => 'going out',
        'out' => ':released of :chosen released :at',
        'stopped' => 'stopped by :who',
        'refused' => 'did not go out: :why',
    ],
    'running_already' => '{1} :who is releasing 1 result of this assignment right now. Nothing was started twice: look again in a moment.|[2,*] :who is releasing :count results of this assignment right now. Nothing was started twice: look again in a moment.',
    'mark_added' => 'The mark is added.',
    'not_set_any_more' => [
        'running' => 'These results are going out right now, so the time can no longer be changed.',
        'out' => 'These results are out already, so the time can no longer be changed.',
        'stopped' => 'This release was stopped already. Nothing was changed.',
        'refused' => 'This release did not go out; set a new one.',
    ],
    'signature' => [
        'moderator' => 'the moderator’s',
        'examiner' => 'the external examiner’s',
    ],
    // What stands between scripts and their release.
    'obstacle' => [
        'not-shared-out' => '{0} Every script has a marker|{1} 1 script is not shared out|[2,*] :count scripts are not shared out',
        'not-marked' => '{0} Every script is marked|{1} 1 script has no finished first mark|[2,*] :count scripts have no finished first mark',
        'no-second-mark' => '{0} Every second mark is in|{1} 1 script has no finished second mark|[2,*] :count scripts have no finished second mark',
        'sample-not-drawn' => '{0} The sample is drawn|{1} 1 script waits for the sample to be drawn|[2,*] :count scripts wait for the sample to be drawn',
        'not-settled' => '{0} Nothing is left to settle|{1} 1 script is not settled|[2,*] :count scripts are not settled',
        'not-signed' => '{0} Everything is signed|{1} 1 signature is missing|[2,*] :count signatures are missing',
        'talk-open' => '{1} 1 script waits for a talk with its student: it goes out with the others unless you hold it|[2,*] :count scripts wait for a talk with their students: they go out with the others unless you hold them',
        'held' => '{0} Nothing is held|{1} 1 script is held|[2,*] :count scripts are held',
    ],
];

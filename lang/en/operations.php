<?php

declare(strict_types=1);

return [
    'title' => 'How it runs',
    'up' => 'It can be used.', 'down' => 'It cannot be used as it is.',
    'parts' => [
        'database' => 'Database', 'files' => 'Files', 'application' => 'Application', 'queue' => 'Work that waits',
        'clock' => 'Clock', 'mail' => 'Mail', 'backup' => 'Backup', 'logbook' => 'Logbook', 'disk' => 'Disk',
        'readers' => 'Reading files', 'pictures' => 'Pictures',
    ],
    'state' => ['works' => 'works', 'look' => 'look at it', 'down' => 'does not work'],
    'says' => [
        'works' => 'works', 'down' => 'does not work',
        'queue_empty' => 'nothing waits.',
        'queue' => '{1} one job waits, for :age.|[2,*] :count jobs wait, the oldest for :age.',
        'queue_late' => 'That is too long: are the workers running?',
        'failed' => '{1} One has failed.|[2,*] :count have failed.',
        'clock' => 'its last beat was :age ago.',
        'clock_late' => 'its last beat was :age ago: due times, releases and reminders stand still. Is the scheduler running?',
        'clock_never' => 'it has never beaten: due times, releases and reminders stand still. Start the scheduler.',
        'mail' => 'what was to be sent was taken by the mail server.',
        'mail_failed' => '{1} one mail of the last day could not be sent.|[2,*] :count mails of the last day could not be sent.',
        'mail_waits' => '{1} one mail is late by more than a quarter of an hour.|[2,*] :count mails are late by more than a quarter of an hour.',
        'backup' => ':age ago: :files files, :bytes, and the database.',
        'backup_late' => 'the last one is :age old. One is to be made every day.',
        'backup_failed' => 'the last one, :age ago, failed.',
        'backup_never' => 'none has been made by this installation.',
        'logbook' => 'walked :age ago; :lines lines hold.',
        'logbook_late' => 'was walked :age ago, and is to be every night.',
        'logbook_broken' => 'does not hold, as a walk :age ago found. Run php artisan logbook:verify.',
        'logbook_never' => 'has not been walked yet; the clock does it every night.',
        'disk' => ':free of :all are free.',
        'disk_low' => 'only :free of :all are free.',
        'disk_unknown' => 'how much is free cannot be seen.',
        'caged' => 'caged (bubblewrap)',
        'not_caged' => 'without a cage: bubblewrap is not installed or the kernel refuses it',
        'sight' => 'looked through for names (tesseract)',
        'no_sight' => 'not looked through for names: tesseract is not installed',
    ],
    'age' => [
        'seconds' => '{0} no time|{1} a second|[2,*] :count seconds', 'minutes' => '{1} a minute|[2,*] :count minutes',
        'hours' => '{1} an hour|[2,*] :count hours', 'days' => '{1} a day|[2,*] :count days',
    ],
    'queues' => [
        'title' => 'Work that waits', 'queue' => 'Queue', 'waiting' => 'Waiting', 'running' => 'Running',
        'oldest' => 'Oldest waits', 'names' => [
            'soon' => 'soon: mail, what a person waits for', 'default' => 'default: reading and comparing',
            'low' => 'low: what can wait, such as copies to take away',
        ],
        'late' => 'too long',
    ],
    'failed' => [
        'title' => 'What failed', 'none' => 'Nothing.', 'kind' => 'Kind', 'when' => 'When', 'why' => 'Fault',
        'again' => 'Try again', 'all' => 'Try all again', 'forget' => 'Forget it',
        'what' => 'The kind of work and of fault; what it was about stands in the log of the server, under the same minute.',
        'said_again' => '{0} It is not there any more.|{1} It waits for a worker again.|[2,*] :count wait for a worker again.',
        'said_forgotten' => 'Forgotten. It is not tried again.',
    ],
    'versions' => [
        'title' => 'Versions', 'application' => 'Young Harbor', 'php' => 'PHP', 'database' => 'MariaDB',
        'migration' => 'Last change of the database', 'pending' => '{1} one more to be made: php artisan migrate|[2,*] :count more to be made: php artisan migrate',
    ],
    'check' => [
        'ready' => 'Ready for real use.',
        'not_ready' => '{1} One thing stands in the way of real use.|[2,*] :count things stand in the way of real use.',
        'look' => '{1} One more is worth a look.|[2,*] :count more are worth a look.',
    ],
];

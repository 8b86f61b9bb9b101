<?php

declare(strict_types=1);

return [
    // Of the application; each release has its part in CHANGELOG.md.
    'version' => '1.0.0',

    'institution' => env('HARBOR_INSTITUTION', 'Merrow Coast College'),

    // Demo sign-ins and the mail reader exist only when this is set.
    'demo' => (bool) env('HARBOR_DEMO', false),

    // With it /metrics answers, in the OpenMetrics text format; without it there is no such page.
    'metrics_token' => (string) env('HARBOR_METRICS_TOKEN', ''),

    // Times are kept in UTC and shown in the institution's zone.
    'timezone' => env('HARBOR_TIMEZONE', 'Europe/London'),

    // Where uploaded files and the logbook's head are kept: never below the web server's folder.
    'files' => env('HARBOR_FILES', storage_path('app/private')),
    // Tagged PDFs are drawn by headless Chromium where it is installed.
    'tagged_pdf' => (bool) env('HARBOR_TAGGED_PDF', true),
    'mail' => env('HARBOR_MAIL', storage_path('app/mail')),

    // Tries to sign in, a minute: for one account, and from one address on the net.
    'sign_in' => [
        'account' => (int) env('HARBOR_SIGN_IN_ACCOUNT', 8),
        'address' => (int) env('HARBOR_SIGN_IN_ADDRESS', 600),
    ],

    'upload' => [
        'max_megabytes' => 20,
    ],

    // Child processes that read uploaded files (pandoc, pdftotext).
    'extraction' => [
        'seconds' => 30, // of processor time
        'waits' => 120, // seconds in all: others want the processor too
        'memory_megabytes' => 512,
        'output_megabytes' => 8,
        'unpacked_megabytes' => 120,
        'entries' => 4000,
        'words' => 100_000,
        'paragraphs' => 20_000,
        'pages' => 600,
    ],

    // Voice and video of markers: how long a recording may last.
    'voice' => [
        'seconds' => (int) env('HARBOR_VOICE_SECONDS', 300),
    ],

    'overlap' => [
        'gap' => 2,
    ],

    // A search service for the open web (docs/operations.md); none, and the choice is not offered.
    'web' => [
        'search' => env('HARBOR_WEB_SEARCH', ''),
        'seconds' => 6,
        'kilobytes' => 2048,
    ],

    // An outside detector of machine-written text (docs/operations.md); none, and the choice is not offered.
    'detector' => [
        'address' => env('HARBOR_DETECTOR', ''),
        'seconds' => 15,
    ],

    // An outside writing assistant for first remarks on drafts (docs/operations.md); without it there is no such
    // choice.
    'assistant' => [
        'address' => env('HARBOR_ASSISTANT', ''),
        'seconds' => (int) env('HARBOR_ASSISTANT_SECONDS', 15),
    ],

    'bands' => require __DIR__.'/harbor.bands.php',
];

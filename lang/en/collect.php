<?php

declare(strict_types=1);

return [
    // What is handed in, and what a script can be taken away as.
    'not_out' => 'Your result is not out yet. You are told by e-mail when it is.:promised',
    'not_out_promised' => ' Results are promised by :on.',
    'file_kind' => [
        'txt' => 'plain text',
        'md' => 'Markdown',
        'docx' => 'Word document (.docx)',
        'odt' => 'OpenDocument text (.odt)',
        'rtf' => 'Rich Text (.rtf)',
        'html' => 'web page (.html)',
        'pdf' => 'PDF',
        'link' => 'link',
        'slot' => 'when and where something was observed',
        'posts' => 'what was written in a discussion',
    ],
];

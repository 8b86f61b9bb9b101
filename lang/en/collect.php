<?php

declare(strict_types=1);

return [
    // What is handed in, and what a script can be taken away as.
    'file_kind' => [
        'txt' => 'plain text',
        'md' => 'Markdown',
        'docx' => 'Word document (.docx)',
        'odt' => 'OpenDocument text (.odt)',
        'rtf' => 'Rich Text (.rtf)',
        'html' => 'web page (.html)',
        'pdf' => 'PDF',
        'link' => 'link',
    ],
];

<?php

declare(strict_types=1);

namespace App\Extraction;

/**
 * What a script can be taken away as.
 */
enum CopyKind: string
{
    case Docx = 'docx';
    case Odt = 'odt';
    case Html = 'html';
    case Pdf = 'pdf';

    public function label(): string
    {
        return __('collect.file_kind.'.$this->value);
    }
}

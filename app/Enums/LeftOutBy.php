<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * What a reader of a report can leave out of its figures.
 */
enum LeftOutBy: string
{
    case Quotations = 'quotations';
    case Bibliography = 'bibliography';
    case Short = 'short';
    case Source = 'source';
    case Passage = 'passage';

    /** Quotations and bibliographies stand by default as the assignment says; the reader may turn them either way. */
    public function isSwitch(): bool
    {
        return $this === self::Quotations || $this === self::Bibliography;
    }
}

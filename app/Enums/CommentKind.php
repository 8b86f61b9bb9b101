<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * What a comment on a script is.
 */
enum CommentKind: string
{
    case Remark = 'remark';
    case Praise = 'praise';
    case Fix = 'fix';
    case Question = 'question';

    public function label(): string
    {
        return match ($this) {
            self::Fix => 'to fix',
            default => $this->value,
        };
    }
}

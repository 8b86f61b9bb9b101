<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * Who hands in, and who gets a mark for it.
 */
enum HandInBy: string
{
    case Each = 'each';
    case GroupOneMark = 'group';
    case GroupOneByOne = 'group-one-by-one';

    public function label(): string
    {
        return __("plan.handin_by.{$this->value}");
    }

    public function isGroup(): bool
    {
        return $this !== self::Each;
    }
}

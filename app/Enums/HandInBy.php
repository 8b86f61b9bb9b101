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
    case GroupOneByOne = 'group one by one';

    public function label(): string
    {
        return match ($this) {
            self::Each => 'each student',
            self::GroupOneMark => 'a group, with one mark',
            self::GroupOneByOne => 'a group, its members marked one by one',
        };
    }

    public function isGroup(): bool
    {
        return $this !== self::Each;
    }
}

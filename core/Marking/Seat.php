<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

/**
 * What a mark is on a script. A mark that was handed over keeps its seat and counts no more: that is a state of the
 * mark, not a seat.
 */
enum Seat: string
{
    case First = 'first';
    case Second = 'second';
    case Third = 'third';
    case Moderator = 'moderator';
    case Peer = 'peer';

    /** What students think of their own work. */
    case OwnRating = 'own-rating';

    /** Of a script whose marks staff have set, to try one's hand on. */
    case Trial = 'trial';

    /** Of a script that every marker marks before the real marking begins. */
    case Together = 'together';

    /** Whether a mark in this seat can make up the script's mark. */
    public function counts(): bool
    {
        return match ($this) {
            self::First, self::Second, self::Third, self::Moderator, self::Peer => true,
            self::OwnRating, self::Trial, self::Together => false,
        };
    }

    /** Whether who marks here sees nothing of the other marks until their own is done. */
    public function isBlind(): bool
    {
        return match ($this) {
            self::First, self::Second, self::Peer, self::OwnRating, self::Trial, self::Together => true,
            self::Third, self::Moderator => false,
        };
    }

    /** Whether students mark here, in a round of reviewing. */
    public function isStudents(): bool
    {
        return match ($this) {
            self::Peer, self::OwnRating, self::Trial => true,
            self::First, self::Second, self::Third, self::Moderator, self::Together => false,
        };
    }

    /** Whether one script can have several marks in this seat. */
    public function canBeSeveral(): bool
    {
        return match ($this) {
            self::Peer, self::OwnRating, self::Trial, self::Together => true,
            self::First, self::Second, self::Third, self::Moderator => false,
        };
    }

    /**
     * @return list<string> of the seats that can make up a script's mark
     */
    public static function countingKeys(): array
    {
        return array_values(
            array_map(fn (self $seat) => $seat->value, array_filter(self::cases(), fn (self $seat) => $seat->counts()))
        );
    }
}

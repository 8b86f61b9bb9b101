<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

use YoungHarbor\Core\Input\InvalidInput;

/**
 * As what a work or a reviewer is known in one round: a seaweed or a boat, and two digits (`KELP-41`, `DORY-07`). Drawn
 * at random, and no script code, so that nobody who knows one finds the other.
 */
final readonly class RoundCode
{
    public const WORKS = [
        'BLADDERWRACK', 'CARRAGEEN', 'DULSE', 'EELGRASS', 'FURBELOW', 'KELP', 'LAVER', 'MAERL', 'OARWEED', 'PEPPERDULSE',
        'SEALETTUCE', 'SUGARKELP', 'THONGWEED', 'TOOTHWRACK',
    ];

    public const REVIEWERS = [
        'BARGE', 'COBLE', 'CORACLE', 'CUTTER', 'DINGHY', 'DORY', 'KETCH', 'LUGGER', 'PILOT', 'PUNT', 'SKIFF', 'SLOOP',
        'SMACK', 'TRAWLER', 'WHERRY', 'YAWL',
    ];

    public const NUMBERS = 999;

    /**
     * @param  non-empty-list<string>  $of  {@see WORKS} or {@see REVIEWERS}
     * @param  int  $word  0 to one less than there are
     * @param  int  $number  0 to 999
     */
    public static function drawn(array $of, int $word, int $number): string
    {
        if (! isset($of[$word]) || $number < 0 || $number > self::NUMBERS) {
            throw InvalidInput::at('code', 'is not a word of the list and a number from 0 to 999');
        }

        return sprintf('%s-%02d', $of[$word], $number);
    }
}

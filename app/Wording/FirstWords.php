<?php

declare(strict_types=1);

namespace App\Wording;

use Illuminate\Contracts\Database\Query\Expression;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * The first words of a text's running sentences, by which people tell texts apart that have one title. What stands above
 * them, as names and dates do, is left out.
 */
final class FirstWords
{
    private const LOOKED_AT = 2000;

    private const WORDS = 14;

    /** What has to be fetched of a text for it, as `beginning`. */
    public static function column(string $text): Expression
    {
        return DB::raw('LEFT(`'.$text.'`, '.self::LOOKED_AT.') AS beginning');
    }

    public static function of(string $text): string
    {
        $first = null;
        foreach (preg_split('/\R/u', $text) ?: [] as $line) {
            if (preg_match('/\S+(?:\s+\S+){9}/u', $line) === 1) {
                $first = $line;
                break;
            }
        }

        return Str::words(Str::squish($first ?? $text), self::WORDS, ' …');
    }
}

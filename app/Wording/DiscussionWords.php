<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\Participation;
use Illuminate\Support\Str;
use YoungHarbor\Core\Discussion\Audience;
use YoungHarbor\Core\Discussion\Settings;

/**
 * What a discussion asks and what someone wrote, in words.
 */
final class DiscussionWords
{
    /** "Asked of each: 1 post and 2 replies, each of 50 words or more." */
    public static function asked(Settings $settings): string
    {
        $parts = array_values(array_filter([
            $settings->posts > 0 ? trans_choice('discuss.posts', $settings->posts) : '',
            $settings->replies > 0 ? trans_choice('discuss.replies', $settings->replies) : '',
        ]));

        return match (true) {
            $parts === [] => __('discuss.asked_nothing'),
            $settings->words === 0 => __('discuss.asked', ['what' => implode(' and ', $parts)]),
            default => __('discuss.asked_words', ['what' => implode(' and ', $parts), 'words' => $settings->words]),
        };
    }

    public static function written(Participation $own): string
    {
        return implode(', ', array_filter([
            trans_choice('discuss.posts', $own->posts), trans_choice('discuss.replies', $own->replies),
            $own->short > 0 ? trans_choice('discuss.short', $own->short) : '',
            trans_choice('discuss.words', $own->words, ['count' => number_format($own->words)]),
        ]));
    }

    /** What is missing of what is asked for. */
    public static function missing(Participation $own, Settings $settings): string
    {
        $posts = max(0, $settings->posts - $own->posts);
        $replies = max(0, $settings->replies - $own->replies);

        return __('discuss.own.missing', ['what' => implode(' and ', array_filter([
            $posts > 0 ? trans_choice('discuss.posts', $posts) : '', $replies > 0 ? trans_choice('discuss.replies', $replies) : '',
        ]))]);
    }

    public static function room(Audience $audience, string $room): string
    {
        return $room === '' ? __($audience === Audience::Section ? 'discuss.room.no_section' : 'discuss.room.none')
            : __($audience === Audience::Section ? 'discuss.room.section' : 'discuss.room.group', ['name' => $room]);
    }

    /** What stands around the words that were looked for. */
    public static function around(string $text, string $words): string
    {
        return Str::excerpt(Str::squish(html_entity_decode($text, ENT_QUOTES | ENT_HTML5)), $words, ['radius' => 90]) ?? '';
    }

    /** A text as a quotation is typed. */
    public static function quoted(string $text): string
    {
        $lines = preg_split('/\R/u', trim(html_entity_decode(Str::limit($text, 600, ' …'), ENT_QUOTES | ENT_HTML5))) ?: [];

        return implode("\n", array_map(fn (string $line) => rtrim("> {$line}"), $lines));
    }
}

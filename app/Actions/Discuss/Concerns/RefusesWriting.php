<?php

declare(strict_types=1);

namespace App\Actions\Discuss\Concerns;

use App\Discussion\DiscussionReader;
use App\Exceptions\Refused;
use App\Models\Post;
use App\Wording\LocalTime;

/**
 * What is not taken in a discussion, in words.
 */
trait RefusesWriting
{
    private function refuseWriting(DiscussionReader $reader): void
    {
        $why = $reader->whyNotWriting();
        $why === null || throw new Refused(
            __("discuss.refused.{$why}", ['at' => $reader->endsAt() === null ? '' : LocalTime::shown($reader->endsAt())]), 'text',
        );
    }

    private function refuseText(string $text, int $words): void
    {
        $letters = mb_strlen($text);
        $letters <= Post::MOST || throw new Refused(__('discuss.refused.too_long', [
            'letters' => number_format($letters), 'most' => number_format(Post::MOST),
        ]), 'text');
        $words > 0 || throw new Refused(__('discuss.refused.no_words'), 'text');
    }
}

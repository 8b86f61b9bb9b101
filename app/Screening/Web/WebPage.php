<?php

declare(strict_types=1);

namespace App\Screening\Web;

/**
 * A page of the open web as it was when it was fetched.
 */
final readonly class WebPage
{
    public function __construct(
        public string $url,
        public string $title,
        public string $text,
    ) {
    }
}

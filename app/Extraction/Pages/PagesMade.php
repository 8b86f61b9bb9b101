<?php

declare(strict_types=1);

namespace App\Extraction\Pages;

/**
 * What became of a PDF's pages.
 */
final readonly class PagesMade
{
    /**
     * @param  int  $covered  words painted over
     * @param  int  $inPictures  of them those that only a look at the picture found
     * @param  list<int>  $unread  pages that hold a picture in which names could not be looked for
     */
    public function __construct(
        public int $pages,
        public int $covered,
        public int $inPictures,
        public array $unread,
    ) {
    }
}

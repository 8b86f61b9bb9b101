<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Logbook;

/**
 * A line as it stands in the chain: with its content, or, in an excerpt it does not belong to, with the hash of it.
 */
final readonly class ChainedLine
{
    /**
     * @param  array<string, mixed>|null  $content
     */
    private function __construct(
        public int $number,
        public string $hash,
        public ?array $content,
        private ?string $hashOfContent,
    ) {
    }

    /**
     * @param  array<string, mixed>  $content
     */
    public static function whole(int $number, string $hash, array $content): self
    {
        return new self($number, $hash, $content, Chain::contentHash($content));
    }

    public static function hidden(int $number, string $hash, string $contentHash): self
    {
        return new self($number, $hash, null, $contentHash);
    }

    /** A line whose texts are not those it was written with: nothing of it can be believed. */
    public static function broken(int $number, string $hash): self
    {
        return new self($number, $hash, null, null);
    }

    public function contentHash(): ?string
    {
        return $this->hashOfContent;
    }
}

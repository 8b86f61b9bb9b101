<?php

declare(strict_types=1);

namespace App\Extraction;

/**
 * The kinds of files that can be handed in.
 */
enum FileKind: string
{
    case Text = 'txt';
    case Markdown = 'md';
    case Docx = 'docx';
    case Odt = 'odt';
    case Rtf = 'rtf';
    case Html = 'html';
    case Pdf = 'pdf';
    case Link = 'link';

    /** What a student wrote in a discussion, frozen at its close: made here, never handed in. */
    case Posts = 'posts';

    /** When and where something was observed: made here, nothing to read in it. */
    case Slot = 'slot';

    /**
     * Kinds that come as a file.
     *
     * @return list<self>
     */
    public static function documents(): array
    {
        return array_filter(
            self::cases(), fn (self $kind) => ! in_array($kind, [self::Link, self::Posts, self::Slot], true),
        );
    }

    /** Those, as one says them: ".docx, .odt or .pdf". */
    public static function documentsInWords(): string
    {
        $kinds = array_map(fn (self $kind) => ".{$kind->value}", self::documents());
        $last = array_pop($kinds);

        return implode(', ', $kinds)." or {$last}";
    }

    public function label(): string
    {
        return __('collect.file_kind.'.$this->value);
    }

    /** How pandoc names the format; null for what other programs read. */
    public function pandocFormat(): ?string
    {
        return match ($this) {
            self::Markdown => 'markdown-raw_html-raw_tex',
            self::Docx => 'docx',
            self::Odt => 'odt',
            self::Rtf => 'rtf',
            self::Html => 'html',
            self::Text, self::Pdf, self::Link, self::Posts, self::Slot => null,
        };
    }

    /** File name endings under which the kind usually goes. */
    public function goesAs(string $extension): bool
    {
        return match ($this) {
            self::Html => in_array($extension, ['html', 'htm', 'xhtml'], true),
            self::Markdown => in_array($extension, ['md', 'markdown'], true),
            self::Text => in_array($extension, ['txt', 'text', ''], true),
            self::Posts, self::Slot => $extension === 'json',
            self::Docx, self::Odt, self::Rtf, self::Pdf, self::Link => $extension === $this->value,
        };
    }
}

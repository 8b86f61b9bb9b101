<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Text;

/**
 * What a comment on a script is: the one place where its kinds are made known. Words are in lang/en/mark.php, looks in
 * app.css.
 */
enum CommentKind: string
{
    case Remark = 'remark';
    case Praise = 'praise';
    case Fix = 'fix';
    case Question = 'question';

    /** Of a comment of which nothing is said. */
    public static function usual(): self
    {
        return self::Remark;
    }

    /** Why it was made, in the words of the W3C Web Annotation Vocabulary (2017). */
    public function motivation(): string
    {
        return match ($this) {
            self::Remark => 'commenting',
            self::Praise => 'assessing',
            self::Fix => 'editing',
            self::Question => 'questioning',
        };
    }

    /**
     * @return list<string>
     */
    public static function keys(): array
    {
        return array_column(self::cases(), 'value');
    }
}

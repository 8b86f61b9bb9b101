<?php

declare(strict_types=1);

namespace App\Desk;

use App\Models\User;

/**
 * The commands of the desk with their keys. Single letters, without the keys that browsers use; each can be changed or
 * switched off by its person (WCAG 2.2, success criterion 2.1.4).
 */
final class DeskKeys
{
    public const NAMES = [
        'sentence' => 'next sentence', 'sentence-back' => 'sentence before', 'longer' => 'a sentence more',
        'shorter' => 'a sentence less',
        'start-later' => 'begin a word later', 'start-earlier' => 'begin a word earlier',
        'end-later' => 'end a word later', 'end-earlier' => 'end a word earlier',
        'comment' => 'comment on it', 'next-comment' => 'next comment', 'previous-comment' => 'comment before',
        'criterion-comments' => 'comments on this criterion', 'undo' => 'undo a comment’s change',
        'criterion' => 'next criterion', 'criterion-back' => 'criterion before',
        'write-here' => 'write on this criterion', 'general' => 'the general comment', 'private' => 'note for staff',
        'bank' => 'comment bank', 'lately' => 'your last ten here', 'rubric' => 'the whole rubric',
        'levels' => 'how levels are meant', 'working' => 'the working', 'brief' => 'the brief',
        'pages' => 'pages or text',
        'next' => 'next script', 'previous' => 'script before', 'aside' => 'set aside', 'done' => 'done',
        'keys' => 'these keys',
    ];

    public const USUAL = [
        'sentence' => 'j', 'sentence-back' => 'k', 'longer' => 'J', 'shorter' => 'K', 'start-later' => '}',
        'start-earlier' => '{', 'end-later' => ']', 'end-earlier' => '[',
        'comment' => 'c', 'next-comment' => '.', 'previous-comment' => ',', 'criterion-comments' => 'v', 'undo' => 'z',
        'criterion' => 'r', 'criterion-back' => 'R', 'write-here' => 't', 'general' => 'g', 'private' => 'o',
        'bank' => ';', 'lately' => 'h', 'rubric' => 'f', 'levels' => 'l', 'working' => 'w', 'brief' => 'b',
        'pages' => 'm',
        'next' => 'n', 'previous' => 'p', 'aside' => 's', 'done' => 'd', 'keys' => '?',
    ];

    /**
     * @return array<string, string> a character each, empty where the key is off
     */
    public static function of(User $person): array
    {
        $own = is_array($person->desk['keys'] ?? null) ? $person->desk['keys'] : [];

        return array_replace(self::USUAL, array_intersect_key(array_filter($own, is_string(...)), self::USUAL));
    }
}

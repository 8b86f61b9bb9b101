<?php

declare(strict_types=1);

namespace YoungHarbor\Core\FirstFeedback;

use YoungHarbor\Core\Input\InvalidInput;

/**
 * What an outside writing assistant answered about a draft. An answer with a mark or a level in it is none.
 */
final readonly class Answer
{
    public const MOST_REMARKS = 60;

    private const LONGEST = 800;

    /** Names of what is never taken, wherever they stand in an answer. */
    private const NEVER = ['mark', 'marks', 'score', 'scores', 'grade', 'grades', 'level', 'levels', 'points', 'band', 'percent'];

    /** Numbers that people would read as a mark. */
    private const AS_A_MARK = '~\b\d{1,3}(?:[.,]\d+)?\s*(?:%|/\s*\d{1,3}\b|out of\b|marks?\b|points?\b)|\b(?:grade|mark|score)d?\s*(?:of|:|as|at)\s*[\dA-F]\b~iu';

    /**
     * @param  list<Remark>  $remarks
     * @param  string  $cannotSee  what it says itself that it cannot see
     */
    private function __construct(
        public string $assistant, public bool $simulated, public array $remarks, public string $cannotSee,
    ) {
    }

    /**
     * @param  string  $draft  the text that was sent
     * @param  list<string>  $criteria  ids that were sent
     *
     * @throws InvalidInput at "answer", in words for a student
     */
    public static function read(mixed $answer, string $draft, array $criteria): self
    {
        if (! is_array($answer) || ! is_array($answer['remarks'] ?? null) || ! array_is_list($answer['remarks'])) {
            throw InvalidInput::at('answer', 'cannot be read');
        }
        self::hasMark($answer) && throw InvalidInput::at('answer', 'holds a mark or a level, which first feedback never does');
        count($answer['remarks']) <= self::MOST_REMARKS || throw InvalidInput::at('answer', 'has far too many remarks');
        $cannot = self::words($answer['cannot_see'] ?? null)
            ?? throw InvalidInput::at('answer', 'does not say what it cannot see');

        return new self(
            self::words($answer['assistant'] ?? null) ?? 'An outside assistant', ($answer['simulated'] ?? false) === true,
            array_map(fn (mixed $one) => self::remark($one, $draft, $criteria), $answer['remarks']), $cannot,
        );
    }

    /**
     * @param  list<string>  $criteria
     *
     * @throws InvalidInput
     */
    private static function remark(mixed $one, string $draft, array $criteria): Remark
    {
        $text = is_array($one) ? self::words($one['text'] ?? null) : null;
        if (! is_array($one) || $text === null) {
            throw InvalidInput::at('answer', 'has a remark that cannot be read');
        }
        preg_match(self::AS_A_MARK, $text) === 1
            && throw InvalidInput::at('answer', 'holds a mark or a level, which first feedback never does');
        $sure = is_string($one['sure'] ?? null) ? Sureness::tryFrom($one['sure']) : null;
        $criterion = $one['criterion'] ?? null;
        $quote = $one['quote'] ?? null;

        return new Remark(
            is_string($criterion) && in_array($criterion, $criteria, true) ? $criterion : null,
            // A place that is not in the draft is no place.
            is_string($quote) && trim($quote) !== '' && mb_strlen($quote) <= self::LONGEST
                && str_contains($draft, $quote) ? $quote : null,
            $text, $sure ?? throw InvalidInput::at('answer', 'does not say how sure it is'),
        );
    }

    /**
     * @param  array<array-key, mixed>  $in
     */
    private static function hasMark(array $in): bool
    {
        foreach ($in as $key => $value) {
            $isMark = in_array(mb_strtolower((string) $key), self::NEVER, true);
            if ($isMark || (is_array($value) && self::hasMark($value))) {
                return true;
            }
        }

        return false;
    }

    private static function words(mixed $value): ?string
    {
        return is_string($value) && trim($value) !== '' ? mb_substr(trim($value), 0, self::LONGEST) : null;
    }
}

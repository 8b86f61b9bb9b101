<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Input\JsonForm;

/**
 * Which scripts are marked a second time when not all are: some for their first mark, and so many drawn from the rest.
 */
final readonly class SampleRule implements JsonForm
{
    /** Most scripts that "at least" can ask for. */
    public const MOST = 5000;

    /**
     * @param  BigDecimal  $share  of all scripts, 0 to 1, that are drawn besides
     * @param  int  $least  scripts that are drawn at least, 0 to 5000
     * @param  bool  $root  whether at least the square root of all scripts are drawn
     * @param  bool  $fails  whether every script below the second band is chosen
     * @param  bool  $top  whether every script in the last band is chosen
     * @param  BigDecimal|null  $near  marks, 0 to 20, within which of a boundary between bands a script is chosen; null for not at all
     */
    public function __construct(
        public BigDecimal $share,
        public int $least = 6,
        public bool $root = true,
        public bool $fails = true,
        public bool $top = true,
        public ?BigDecimal $near = null,
    ) {
    }

    /** As an assignment begins: fails, the top band, two marks around a boundary, a tenth, the root, at least six. */
    public static function usual(): static
    {
        return new self(BigDecimal::of('0.1'), near: BigDecimal::of(2));
    }

    /**
     * @param  array<array-key, mixed>  $document  {"share": "0.1", "least": 6, "root": true, "fails": true, "top": true, "near": "2"}
     *
     * @throws InvalidInput naming each place that is wrong
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, ['share', 'least', 'root', 'fails', 'top', 'near']);
        $rule = new self(
            $in->decimalWithin($document, 'share', 'share', 0, 1),
            $in->whole($document, 'least', 'least', 0, self::MOST),
            $in->flag($document, 'root', 'root', true), $in->flag($document, 'fails', 'fails', true),
            $in->flag($document, 'top', 'top', true),
            ($document['near'] ?? null) === null ? null : $in->decimalWithin($document, 'near', 'near', 0, 20),
        );
        $in->throwFaults();

        return $rule;
    }

    /**
     * @return array{share: string, least: int, root: bool, fails: bool, top: bool, near: string|null}
     */
    public function toArray(): array
    {
        return [
            'share' => (string) $this->share->stripTrailingZeros(), 'least' => $this->least, 'root' => $this->root,
            'fails' => $this->fails, 'top' => $this->top,
            'near' => $this->near === null ? null : (string) $this->near->stripTrailingZeros(),
        ];
    }

    /**
     * How many are to be drawn besides those chosen for their mark, before it is looked at how many remain: the largest
     * of what is asked for at least, the share rounded up, and the root rounded up.
     *
     * @param  int  $all  scripts of the cohort
     */
    public function wanted(int $all): int
    {
        $root = 0;
        while ($this->root && $root * $root < $all) {
            $root++;
        }

        return max(
            $this->least, $root, $this->share->multipliedBy($all)->toScale(0, RoundingMode::CEILING)->toInt(),
        );
    }

    /**
     * How many are to be drawn from a part of the scripts: as large a part of them as of the whole, rounded up.
     *
     * @param  int  $part  scripts it is drawn from now
     * @param  int  $all  scripts of the cohort
     */
    public function wantedOf(int $part, int $all): int
    {
        return $all === 0 ? 0 : intdiv($this->wanted($all) * $part + $all - 1, $all);
    }

    /**
     * Why a script is chosen for its mark; nothing when it is not.
     *
     * @param  list<BigDecimal>  $boundaries  where the second, third … band begins, rising; 0 is none
     * @return list<SampleReason>
     */
    public function reasons(BigDecimal $mark, array $boundaries): array
    {
        $reasons = [];
        if ($boundaries !== [] && $this->fails && $mark->isLessThan($boundaries[0])) {
            $reasons[] = new SampleReason(WhySampled::Fail);
        }
        if ($boundaries !== [] && $this->top && $mark->isGreaterThanOrEqualTo($boundaries[count($boundaries) - 1])) {
            $reasons[] = new SampleReason(WhySampled::Top);
        }
        foreach ($boundaries as $boundary) {
            if ($this->near !== null && $mark->minus($boundary)->abs()->isLessThanOrEqualTo($this->near)) {
                $reasons[] = new SampleReason(WhySampled::Near, $boundary);
            }
        }

        return $reasons;
    }
}

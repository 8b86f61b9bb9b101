<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Screening;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Input\JsonForm;
use YoungHarbor\Core\Overlap\Attention;

/**
 * How the scripts of an assignment are screened: what they are compared with, what counts, where the lines are, who
 * sees a report, and how writing is measured.
 */
final readonly class Settings implements JsonForm
{
    /** Each field with what an assignment begins with. */
    private const USUAL = [
        'seen' => 'start', 'min_words' => 8, 'look' => '20', 'look_closely' => '30', 'quotations' => true,
        'bibliography' => true,
        'module' => true, 'archive' => true, 'web' => false, 'joins_archive' => false, 'students' => false,
        'alarm' => '0.05', 'least_words' => 300, 'detector' => false,
    ];

    /**
     * @param  int<1, 40>  $minWords  shortest run of words that is shown, 8 at least
     * @param  BigDecimal  $look  line to look at, percent, above 0
     * @param  BigDecimal  $lookClosely  percent, at or above the line to look, up to 100
     * @param  bool  $quotations  left out, unless a report says otherwise
     * @param  bool  $bibliography  likewise
     * @param  bool  $module  compared with the module's other assignments
     * @param  bool  $archive  compared with the archive
     * @param  bool  $web  looked for in the open web
     * @param  bool  $joinsArchive  kept for later cohorts to be compared with
     * @param  bool  $students  students see the report of their own script after the due time
     * @param  BigDecimal  $alarm  share of honest texts that may be called unusual, 0 to 0.5
     * @param  int  $leastWords  of shorter texts writing is not measured
     * @param  bool  $detector  texts go to the outside detector
     */
    private function __construct(
        public ReportSeen $seen,
        public int $minWords,
        public BigDecimal $look,
        public BigDecimal $lookClosely,
        public bool $quotations,
        public bool $bibliography,
        public bool $module,
        public bool $archive,
        public bool $web,
        public bool $joinsArchive,
        public bool $students,
        public BigDecimal $alarm,
        public int $leastWords,
        public bool $detector,
    ) {
    }

    public static function usual(): static
    {
        return self::fromArray([]);
    }

    /**
     * @param  array<array-key, mixed>  $document  fields by their JSON names; what is left out is as usual
     *
     * @throws InvalidInput naming each field that is wrong
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, array_keys(self::USUAL));
        $document += self::USUAL;
        $flag = fn (string $key): bool => $in->flag($document, $key, $key, (bool) self::USUAL[$key]);
        $settings = new self(
            $in->key($document, 'seen', 'seen', ReportSeen::Start),
            min(40, max(1, $in->whole($document, 'min_words', 'min_words', 8, 40))),
            $in->decimalWithin($document, 'look', 'look', 0, 100),
            $in->decimalWithin($document, 'look_closely', 'look_closely', 0, 100),
            $flag('quotations'), $flag('bibliography'), $flag('module'), $flag('archive'), $flag('web'),
            $flag('joins_archive'), $flag('students'),
            $in->decimalWithin($document, 'alarm', 'alarm', 0, '0.5'),
            $in->whole($document, 'least_words', 'least_words', 1, 5000),
            $flag('detector'),
        );
        if ($settings->look->isZero()) {
            $in->fault('look', 'must be above 0');
        }
        if ($settings->lookClosely->isLessThan($settings->look)) {
            $in->fault('look_closely', 'must be at or above the line to look');
        }
        $in->throwFaults();

        return $settings;
    }

    /**
     * The same with some fields changed.
     *
     * @param  array<string, mixed>  $fields  by their JSON names
     *
     * @throws InvalidInput
     */
    public function with(array $fields): self
    {
        return self::fromArray([...$this->toArray(), ...$fields]);
    }

    /**
     * @return array<string, bool|int|string>
     */
    public function toArray(): array
    {
        return [
            'seen' => $this->seen->value, 'min_words' => $this->minWords,
            'look' => (string) $this->look->stripTrailingZeros(),
            'look_closely' => (string) $this->lookClosely->stripTrailingZeros(),
            'quotations' => $this->quotations, 'bibliography' => $this->bibliography, 'module' => $this->module,
            'archive' => $this->archive, 'web' => $this->web, 'joins_archive' => $this->joinsArchive,
            'students' => $this->students,
            'alarm' => (string) $this->alarm->stripTrailingZeros(), 'least_words' => $this->leastWords,
            'detector' => $this->detector,
        ];
    }

    /** Where a share of overlap lies against the two lines. */
    public function attention(string $share): Attention
    {
        return Attention::of($share, (string) $this->look, (string) $this->lookClosely);
    }

    /** Whether texts are compared with other things than before, so that every report has to be made again. */
    public function comparesOther(self $before): bool
    {
        return $this->compared() !== $before->compared();
    }

    /** Whether reports stay and only what counts in them changes. */
    public function countsOther(self $before): bool
    {
        return [$this->quotations, $this->bibliography] !== [$before->quotations, $before->bibliography];
    }

    /** Whether the lines moved that say which scripts to look at. */
    public function drawsOther(self $before): bool
    {
        return ! $this->look->isEqualTo($before->look) || ! $this->lookClosely->isEqualTo($before->lookClosely);
    }

    /** Whether writing has to be measured again. */
    public function measuresOther(self $before): bool
    {
        return [$this->leastWords, $this->detector] !== [$before->leastWords, $before->detector]
            || ! $this->alarm->isEqualTo($before->alarm);
    }

    /**
     * @return list<bool|int>
     */
    private function compared(): array
    {
        return [$this->minWords, $this->module, $this->archive, $this->web, $this->joinsArchive];
    }
}

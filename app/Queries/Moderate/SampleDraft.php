<?php

declare(strict_types=1);

namespace App\Queries\Moderate;

use YoungHarbor\Core\Agreement\Linking;
use YoungHarbor\Core\Allocation\GivenScript;
use YoungHarbor\Core\Allocation\MarkerPlan;
use YoungHarbor\Core\Marking\FirstMark;
use YoungHarbor\Core\Marking\Sample;
use YoungHarbor\Core\Marking\SampledScript;
use YoungHarbor\Core\Marking\SampleRule;
use YoungHarbor\Core\Marking\WhySampled;

/**
 * A sample as it would be drawn, and who would mark its scripts a second time.
 */
final readonly class SampleDraft
{
    /**
     * @param  list<FirstMark>  $from  scripts by code, first markers by public id
     * @param  list<string>  $boundaries
     * @param  MarkerPlan|null  $plan  null when nobody can be chosen
     * @param  array<string, GivenScript>  $seconds  by script code
     * @param  array<string, int>  $loads  second marks that markers would get
     * @param  array<string, string>  $names  of markers by public id
     * @param  string  $digest  of all it was worked out from and came to
     */
    public function __construct(
        public array $from,
        public SampleRule $rule,
        public array $boundaries,
        public int $seed,
        public Sample $sample,
        public ?MarkerPlan $plan,
        public array $seconds,
        public array $loads,
        public array $names,
        public Linking $linking,
        public string $digest,
    ) {
    }

    /** How many are in it for a reason that is not the lot. */
    public function chosen(): int
    {
        return count($this->sample->scripts) - $this->sample->drawn();
    }

    /**
     * @return array<string, int> how many scripts have each reason; some have several
     */
    public function reasons(): array
    {
        $counts = array_fill_keys(array_column(WhySampled::cases(), 'value'), 0);
        foreach ($this->sample->scripts as $one) {
            foreach ($one->reasons as $reason) {
                $counts[$reason->why->value] += 1;
            }
        }

        return array_filter($counts);
    }

    /**
     * @return list<SampledScript> nobody can be found for these yet
     */
    public function withoutSecond(): array
    {
        return array_values(
            array_filter($this->sample->scripts, fn (SampledScript $one) => ! isset($this->seconds[$one->script])),
        );
    }
}

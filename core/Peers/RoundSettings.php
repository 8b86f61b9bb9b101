<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Input\JsonForm;

/**
 * How a round of peer review or self-assessment works; its times stand beside it.
 */
final readonly class RoundSettings implements JsonForm
{
    public const MOST_EACH = 10;

    public const MOST_WORDS = 200;

    /** Reviews that one work is promised at most, where groups hand in one and each member reviews. */
    public const MOST_WANTED = 20;

    /** Hours before reviews are due at which a round can be planned anew by itself. */
    public const MOST_HOURS = 720;

    private const KEYS = [
        'on', 'peers', 'self', 'each', 'criteria', 'least_words', 'share', 'reviewing', 'method', 'names', 'without',
        'seen', 'marks_seen', 'trial_pass', 'replan', 'weights', 'self_first',
        'staff_see',
    ];

    /**
     * @param  bool  $peers  students review others' work
     * @param  bool  $self  students rate their own
     * @param  int<1, 10>  $each  reviews everyone writes, and that everyone's work is promised
     * @param  list<string>  $criteria  ids of those of the rubric that are used; none: all
     * @param  int<0, 200>  $leastWords  that a comment on each criterion has
     * @param  int<0, 100>  $share  per cent of the mark that peers' combined mark is
     * @param  int<0, 100>  $reviewing  per cent of the mark that the mark for reviewing is
     * @param  bool  $without  whether those may review who handed in nothing
     * @param  bool  $marksSeen  whether authors see levels and marks, or comments alone
     * @param  int<1, 100>|null  $trialPass  how far off, in marks, one may be on trial scripts on average to begin; null: no line
     * @param  bool  $selfFirst  whether one’s own work is rated before others’ is opened
     * @param  StaffSee  $staffSee  what whoever marks sees beside their own mark
     * @param  list<int<1, 720>>  $replan  hours before reviews are due at which who reviews what is planned anew, longest first
     */
    private function __construct(
        public ReviewedAt $on, public bool $peers, public bool $self, public int $each, public array $criteria,
        public int $leastWords, public int $share, public int $reviewing, public Method $method,
        public NamesShown $names, public bool $without, public ReviewsSeen $seen, public bool $marksSeen,
        public ?int $trialPass, public array $replan, public ReviewingWeights $weights, public bool $selfFirst,
        public StaffSee $staffSee,
    ) {
    }

    public static function usual(): static
    {
        return self::fromArray([]);
    }

    /**
     * @param  array<array-key, mixed>  $document  what is left out is as usual
     *
     * @throws InvalidInput naming each place that is wrong
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, self::KEYS);
        $document += [
            'on' => 'final', 'peers' => true, 'self' => false, 'each' => 3, 'criteria' => [], 'least_words' => 20,
            'share' => 0, 'reviewing' => 0, 'method' => 'median', 'names' => 'nobodys', 'without' => false,
            'seen' => 'due', 'marks_seen' => true, 'trial_pass' => null, 'replan' => [48, 24],
            'weights' => ReviewingWeights::usual()->weights, 'self_first' => false, 'staff_see' => 'nothing',
        ];
        $pass = $document['trial_pass'];
        $settings = new self(
            $in->key($document, 'on', 'on', ReviewedAt::Final),
            $in->flag($document, 'peers', 'peers', true), $in->flag($document, 'self', 'self', false),
            max(1, min(self::MOST_EACH, $in->whole($document, 'each', 'each', 1, self::MOST_EACH))),
            self::ids($in, $in->map($document, 'criteria', 'criteria')),
            max(0, min(self::MOST_WORDS, $in->whole($document, 'least_words', 'least_words', 0, self::MOST_WORDS))),
            max(0, min(100, $in->whole($document, 'share', 'share', 0, 100))),
            max(0, min(100, $in->whole($document, 'reviewing', 'reviewing', 0, 100))),
            $in->key($document, 'method', 'method', Method::Median),
            $in->key($document, 'names', 'names', NamesShown::Nobodys),
            $in->flag($document, 'without', 'without', false),
            $in->key($document, 'seen', 'seen', ReviewsSeen::Due),
            $in->flag($document, 'marks_seen', 'marks_seen', true),
            $pass === null ? null : max(1, min(100, $in->whole($document, 'trial_pass', 'trial_pass', 1, 100))),
            self::hours($in, $in->map($document, 'replan', 'replan')),
            ReviewingWeights::read(
                $in->map($document, 'weights', 'weights'), fn (string $what) => $in->fault('weights', $what),
            ),
            $in->flag($document, 'self_first', 'self_first', false),
            $in->key($document, 'staff_see', 'staff_see', StaffSee::Nothing),
        );
        $settings->checkTogether($in);
        $in->throwFaults();

        return $settings;
    }

    private function checkTogether(Document $in): void
    {
        $this->peers || $this->self || $in->fault('peers', 'asks for nothing: neither reviews nor ratings of one’s own work');
        if ($this->share > 0 && ! $this->peers) {
            $in->fault('share', 'needs reviews by peers');
        }
        if ($this->share > 0 && $this->on === ReviewedAt::Draft) {
            $in->fault('share', 'must be 0 where drafts are reviewed: what is marked in the end is other work');
        }
        if ($this->reviewing > 0 && ! $this->peers) {
            $in->fault('reviewing', 'needs reviews by peers');
        }
        if ($this->share + $this->reviewing > 100) {
            $in->fault('reviewing', 'and the share of peers’ marks are more than the whole mark together');
        }
    }

    /**
     * @param  array<array-key, mixed>  $ids
     * @return list<string>
     */
    private static function ids(Document $in, array $ids): array
    {
        $read = array_values(array_unique(array_filter($ids, is_string(...))));
        count($read) === count($ids) || $in->fault('criteria', 'must list each criterion once, by its id');

        return $read;
    }

    /**
     * @param  array<array-key, mixed>  $hours
     * @return list<int<1, 720>>
     */
    private static function hours(Document $in, array $hours): array
    {
        $read = [];
        foreach ($hours as $one) {
            if (! is_int($one) || $one < 1 || $one > self::MOST_HOURS) {
                $in->fault('replan', 'must be whole hours before the time reviews are due, from 1 to '.self::MOST_HOURS);
            } else {
                $read[$one] = $one;
            }
        }
        rsort($read);

        return $read;
    }

    /** Whether what comes out of the round enters marks. */
    public function counts(): bool
    {
        return $this->share > 0 || $this->reviewing > 0;
    }

    /**
     * @return array<string, mixed>
     */
    public function toArray(): array
    {
        return [
            'on' => $this->on->value, 'peers' => $this->peers, 'self' => $this->self, 'each' => $this->each,
            'criteria' => $this->criteria, 'least_words' => $this->leastWords, 'share' => $this->share,
            'reviewing' => $this->reviewing, 'method' => $this->method->value, 'names' => $this->names->value,
            'without' => $this->without, 'seen' => $this->seen->value, 'marks_seen' => $this->marksSeen,
            'trial_pass' => $this->trialPass, 'replan' => $this->replan, 'weights' => $this->weights->weights,
            'self_first' => $this->selfFirst, 'staff_see' => $this->staffSee->value,
        ];
    }
}

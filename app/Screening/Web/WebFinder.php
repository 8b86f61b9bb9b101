<?php

declare(strict_types=1);

namespace App\Screening\Web;

use App\Enums\SourceKind;
use App\Enums\WebState;
use App\Models\OverlapSource;
use YoungHarbor\Core\Names\Mask;
use YoungHarbor\Core\Overlap\Distinctive;
use YoungHarbor\Core\Overlap\Interval;
use YoungHarbor\Core\Text\Words;

/**
 * Asks the open web for a text's distinctive sequences, fetches the pages it names most often, and keeps each as it was.
 */
final class WebFinder
{
    /** Sequences asked for of one text, at most. */
    private const PHRASES = 60;

    private const PAGES = 20;

    /** After so many failures in a row the service is taken to be down. */
    private const GIVE_UP = 3;

    /** A page fetched within so many days is not fetched again. */
    private const FRESH_DAYS = 1;

    public function __construct(private readonly WebSearch $web)
    {
    }

    /**
     * @param  list<Interval>  $places  what is given, quoted and listed in the text
     * @param  callable(int, int): bool  $progress  told how many are asked of how many; false stops
     */
    public function find(Words $words, array $places, callable $progress): WebOutcome
    {
        $phrases = Distinctive::phrases(
            $words,
            [
                ...array_values(array_filter($places, fn (Interval $place) => $place->why !== 'quotation')),
                ...$this->masked($words),
            ],
            self::PHRASES,
        );
        $named = [];
        $asked = $failed = $inARow = 0;
        $why = null;
        foreach ($phrases as $phrase) {
            if (! $progress($asked, count($phrases)) || $inARow >= self::GIVE_UP) {
                break;
            }
            try {
                foreach ($this->web->search($phrase) as $url) {
                    $named[$url] = ($named[$url] ?? 0) + 1;
                }
                $inARow = 0;
            } catch (WebUnanswered $e) {
                $why = $e->getMessage();
                $failed++;
                $inARow++;
            }
            $asked++;
        }
        $progress($asked, count($phrases));
        arsort($named);
        $sources = [];
        $lost = 0;
        foreach (array_keys(array_slice($named, 0, self::PAGES, true)) as $url) {
            try {
                $sources[] = $this->kept((string) $url)->id;
            } catch (WebUnanswered) {
                $lost++;
            }
        }

        return $this->outcome($sources, count($phrases), $asked, $failed, $why, $lost);
    }

    /**
     * @param  list<int>  $sources
     */
    private function outcome(array $sources, int $phrases, int $asked, int $failed, ?string $why, int $lost): WebOutcome
    {
        $unanswered = $failed + $phrases - $asked;
        $said = array_filter([
            $unanswered > 0
                ? "{$unanswered} of {$phrases} searches had no answer. ".($why ?? 'They were stopped.')
                : null,
            $lost > 0
                ? (
                    $lost === 1
                        ? 'One page that was named could not be read.'
                        : "{$lost} pages that were named could not be read."
                )
                : null,
        ]);

        return new WebOutcome(array_values(array_unique($sources)), match (true) {
            $phrases > 0 && $unanswered === $phrases => WebState::Failed,
            $said !== [] => WebState::Part,
            default => WebState::Ready,
        }, $said === [] ? null : implode(' ', $said));
    }

    /** The page as a source: as it was kept lately, or fetched now. Each state of a page is kept for itself. */
    private function kept(string $url): OverlapSource
    {
        $last = OverlapSource::query()->where('kind', SourceKind::Web)->where('url', $url)->orderByDesc('fetched_at')
            ->first();
        if ($last !== null && $last->fetched_at?->gt(now()->subDays(self::FRESH_DAYS)) === true) {
            return $last;
        }
        $page = $this->web->fetch($url);
        $sum = hash('sha256', $page->text);
        if ($last !== null && $last->sha256 === $sum) {
            $last->update(['fetched_at' => now(), 'title' => $page->title]);

            return $last;
        }
        $words = Words::of($page->text)->normalForms();

        return OverlapSource::query()->create([
            'kind' => SourceKind::Web, 'url' => $url, 'title' => $page->title, 'text' => $page->text, 'sha256' => $sum,
            'words' => count($words), 'numbers' => OverlapSource::packed($words), 'fetched_at' => now(),
        ]);
    }

    /**
     * Where a name was hidden nothing is asked for.
     *
     * @return list<Interval>
     */
    private function masked(Words $words): array
    {
        preg_match_all('/'.preg_quote(Mask::SHOWN, '/').'/u', $words->text, $found, PREG_OFFSET_CAPTURE);

        return Interval::within(
            $words, 'masked', array_map(fn (array $one) => [$one[1], $one[1] + strlen($one[0])], $found[0]),
        );
    }
}

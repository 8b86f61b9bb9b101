<?php

declare(strict_types=1);

namespace App\Queries\ShareOut;

use App\Extraction\AuthorTraces;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Script;
use Illuminate\Support\Collection;

/**
 * What a coordinator should know of names in scripts before they are shared out: what could not be looked through, and
 * family names that may be an author's or a source's.
 */
final readonly class NamesToCheck
{
    /**
     * @param  int  $waiting  scripts that are still being looked through
     * @param  Collection<int, Script>  $failed  whose pages or pictures could not be looked through, or not all
     * @param  Collection<int, Script>  $alone  in which a family name stands alone and nothing is decided
     */
    private function __construct(
        public int $waiting,
        public Collection $failed,
        public Collection $alone,
    ) {
    }

    public static function of(Assignment $assignment): self
    {
        $scripts = fn () => Script::query()->where('assignment_id', $assignment->id)->whereNull('lead_id')
            ->whereNotNull('current_handin_id')->orderBy('code');
        $handin = [
            'currentHandin' => fn ($query) => $query->select(
                ['id', 'script_id', 'identity', 'prepare_failure', 'prepared_at', 'alone']
            ),
            'currentHandin.files',
        ];

        return new self(
            $scripts()
                ->whereHas(
                    'currentHandin', fn ($query) => $query->whereNull('prepared_at')->whereNull('prepare_failure'),
                )
                ->count(),
            $scripts()
                ->whereHas(
                    'currentHandin',
                    fn ($query) => $query->whereNotNull('prepare_failure')->orWhereHas(
                        'files', fn ($files) => $files->whereNotNull('unread'),
                    ),
                )
                ->with($handin)->get(),
            $scripts()
                ->whereHas(
                    'currentHandin',
                    fn ($query) => $query->whereNull('alone')->whereJsonContains(
                        'identity', ['place' => AuthorTraces::ALONE],
                    ),
                )
                ->with($handin)->get(),
        );
    }

    public function isAny(): bool
    {
        return $this->waiting > 0 || $this->failed->isNotEmpty() || $this->alone->isNotEmpty();
    }

    public function inWords(): string
    {
        $scripts = fn (int $count, string $one, string $many): string => $count === 0
            ? ''
            : ($count === 1 ? "1 script {$one}" : number_format($count)." scripts {$many}");
        $parts = array_values(array_filter([
            $scripts(
                $this->waiting, 'is still being looked through for names', 'are still being looked through for names',
            ),
            $scripts(
                $this->failed->count(), 'holds pages or pictures that could not be looked through',
                'hold pages or pictures that could not be looked through',
            ),
            $scripts(
                $this->alone->count(), 'has a family name that may be its author’s or a source’s',
                'have a family name that may be their author’s or a source’s',
            ),
        ], fn (string $part) => $part !== ''));

        return implode('; ', $parts).'.';
    }

    /** Why a script is listed among those that could not be looked through. */
    public static function why(Handin $handin): string
    {
        $unread = $handin->files->flatMap(
            fn ($file) => array_map(
                fn (int $page) => $handin->files->count() > 1
                    ? "page {$page} of file {$file->position}"
                    : "page {$page}",
                $file->unread ?? [],
            )
        )->all();
        $shown = implode(', ', array_slice($unread, 0, 8)).(count($unread) > 8 ? ' …' : '');

        return trim(
            ($handin->prepare_failure ?? '').(
                $unread === [] ? '' : ' No words could be read in the picture on '.$shown.'.'
            )
        );
    }

    /**
     * Where a family name stands alone, with what stands around it.
     *
     * @return list<string>
     */
    public static function around(Handin $handin): array
    {
        foreach ($handin->identity as $found) {
            if ($found['place'] === AuthorTraces::ALONE) {
                return $found['around'] ?? [];
            }
        }

        return [];
    }
}

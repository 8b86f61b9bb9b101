<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Assignment;
use App\Models\LogbookLine;
use App\Models\Module;
use App\Models\User;
use App\Wording\LocalTime;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Lines of a module's logbook by person, script code, assignment, kind and day. A line never has a name and a script
 * code, so that no search leads from one to the other.
 */
final readonly class LogbookSearch
{
    /** The kinds, by the first part of what happened. */
    public const KINDS = ['module', 'plan', 'collect', 'screen', 'share-out', 'mark', 'moderate', 'release', 'keeping'];

    private const MOST_PEOPLE = 50;

    /**
     * @param  string  $who  part of a name, or a mail address
     * @param  string  $code  a script code
     * @param  string  $assignment  public id
     * @param  string  $kind  one of KINDS
     * @param  string  $from  a day, as Y-m-d; "" for the first
     * @param  string  $to  a day, which belongs to it; "" for today
     */
    private function __construct(
        private Module $module, public string $who, public string $code, public string $assignment, public string $kind,
        public string $from, public string $to,
    ) {
    }

    /** What is not known is as if it were not asked for; a day that is none is said on the page. */
    public static function from(Request $request, Module $module): self
    {
        $text = fn (string $key): string => is_string($value = $request->query($key))
            ? mb_substr(trim($value), 0, 100)
            : '';
        $kind = $text('kind');

        return new self(
            $module, $text('who'), mb_strtoupper($text('code')), $text('assignment'),
            in_array($kind, self::KINDS, true) ? $kind : '', $text('from'), $text('to'),
        );
    }

    public function isAll(): bool
    {
        return $this->query() === [];
    }

    /**
     * As an address has it.
     *
     * @return array<string, string>
     */
    public function query(): array
    {
        return array_filter([
            'who' => $this->who, 'code' => $this->code, 'assignment' => $this->assignment, 'kind' => $this->kind,
            'from' => $this->from, 'to' => $this->to,
        ], fn (string $one) => $one !== '');
    }

    /**
     * @return list<string> what of it cannot be, in words
     */
    public function faults(): array
    {
        return array_values(array_filter([
            ...array_map(
                fn (string $day) => $day === '' || $this->day($day) !== null
                    ? ''
                    : __('logbook.search.no_day', ['day' => $day]),
                [$this->from, $this->to],
            ),
            $this->who !== '' && $this->people() === [] ? __('logbook.search.nobody', ['who' => $this->who]) : '',
        ], fn (string $one) => $one !== ''));
    }

    /**
     * Newest first.
     *
     * @return Builder<LogbookLine>
     */
    public function lines(): Builder
    {
        $lines = LogbookLine::query()->with('words')->orderByDesc('number');
        if ($this->who !== '') {
            $people = $this->people();

            // Each way by its own index; together they are few.
            return $lines->whereIn('number', DB::query()->fromSub(
                $this->narrowed(LogbookLine::query()->select('number')->whereIn('actor', $people))->union(
                    $this->narrowed(LogbookLine::query()->select('number')->where('subject_kind', 'person')
                        ->whereIn('subject', $people)),
                )->toBase(),
                'found',
            )->select('number'));
        }

        return $this->narrowed($lines);
    }

    /**
     * @param  Builder<LogbookLine>  $lines
     * @return Builder<LogbookLine>
     */
    private function narrowed(Builder $lines): Builder
    {
        // An assignment's lines are all of its module, and stand in an index of their own.
        $this->assignment !== '' && isset($this->assignments()[$this->assignment])
            ? $lines->where('assignment', $this->assignment)
            : $lines->where('module', $this->module->public_id)
                ->when($this->assignment !== '', fn (Builder $query) => $query->whereRaw('FALSE'));
        $this->code === '' || $lines->where('subject', $this->code)->where('subject_kind', 'script');
        $this->kind === '' || $lines->where('room', $this->kind);
        // Lines are numbered in the order of time, so that a day is a number from which on.
        $from = $this->day($this->from);
        $to = $this->day($this->to)?->addDay();
        $from === null || $lines->where('number', '>=', $this->firstFrom($from));
        $to === null || $lines->where('number', '<', $this->firstFrom($to));

        return $lines;
    }

    private function firstFrom(Carbon $at): int
    {
        return (int) (DB::table('logbook_lines')->where('at', '>=', $at->copy()->utc())->orderBy('at')->value('number')
            ?? PHP_INT_MAX);
    }

    private function day(string $day): ?Carbon
    {
        if (preg_match('/\A\d{4}-\d\d-\d\d\z/', $day) !== 1) {
            return null;
        }
        [$year, $month, $date] = array_map(intval(...), explode('-', $day));

        return checkdate($month, $date, $year) ? Carbon::createFromFormat('!Y-m-d', $day, LocalTime::zone()) : null;
    }

    /**
     * Random ids of people of the module, those who left too, and of administrators.
     *
     * @return list<string>
     */
    private function people(): array
    {
        $like = '%'.addcslashes($this->who, '%_\\').'%';

        return array_values(User::query()
            ->where(fn ($query) => $query->whereLike('name', $like)->orWhere('email', User::addressKey($this->who)))
            ->where(fn ($query) => $query->where('is_admin', true)->orWhereIn(
                'id', DB::table('memberships')->where('module_id', $this->module->id)->select('user_id'),
            ))->limit(self::MOST_PEOPLE)->toBase()->pluck('public_id')->map(fn (mixed $id) => (string) $id)->all());
    }

    /**
     * Assignments to choose from.
     *
     * @return array<string, string> titles by public id
     */
    public function assignments(): array
    {
        return Assignment::query()->where('module_id', $this->module->id)->orderBy('due_at')
            ->pluck('title', 'public_id')
            ->map(fn (mixed $title) => (string) $title)->all();
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Http\Requests\GuardedRequest;
use App\Models\GradeScale;
use App\Models\Module;
use Illuminate\Validation\ValidationException;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Release\ModulePlan;

/**
 * How the mark of a module is made, as its form sends it: a row an assignment, and lists of which the best count.
 */
final class ModulePlanRequest extends GuardedRequest
{
    public const LISTS = ['a', 'b', 'c', 'd'];

    protected function guard(): array
    {
        return ['coordinate', $this->bound('module', Module::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'decimals' => ['required', 'integer', 'min:0', 'max:2'], 'pass' => ['required', 'string', 'max:10'],
            'borderline' => ['nullable', 'string', 'max:10'], 'bands' => ['required', 'string', 'max:60'],
            'rows' => ['array', 'max:60'], 'rows.*' => ['array'], 'rows.*.*' => ['nullable', 'string', 'max:60'],
            'lists' => ['array', 'max:4'], 'lists.*' => ['array'], 'lists.*.*' => ['nullable', 'string', 'max:100'],
        ];
    }

    /**
     * @throws ValidationException for what the core finds wrong with it
     */
    public function plan(): ModulePlan
    {
        $module = $this->bound('module', Module::class);
        $this->checkResits();
        try {
            return ModulePlan::fromArray([
                'decimals' => $this->integer('decimals'), 'pass' => $this->number((string) $this->input('pass')) ?? '',
                'borderline' => $this->number((string) $this->input('borderline')) ?? '0',
                'bands' => $this->bands($module), 'parts' => $this->parts($module),
            ]);
        } catch (InvalidInput $e) {
            throw ValidationException::withMessages(['plan' => [
                'Nothing was changed; what you entered stands in the fields.',
                ...array_map(fn (Fault $fault) => $this->inWords($fault), array_slice($e->faults, 0, 12)),
            ]]);
        }
    }

    /**
     * A resit counts for a part of its own; one for anything else would be left out without a word.
     *
     * @throws ValidationException
     */
    private function checkResits(): void
    {
        $rows = array_filter((array) $this->input('rows'), is_array(...));
        $of = [];
        foreach ($rows as $row) {
            str_starts_with((string) ($row['as'] ?? ''), 'resit:') && $of[] = substr((string) $row['as'], strlen('resit:'));
        }
        $wrong = array_filter($of, fn (string $id) => ($rows[$id]['as'] ?? '') !== 'own');
        $wrong === [] && count($of) === count(array_unique($of)) || throw ValidationException::withMessages(
            ['plan' => __($wrong === [] ? 'module-mark.two_resits' : 'module-mark.resit_of_none')],
        );
    }

    /** A fault where its reader looks for it: parts by their titles. */
    private function inWords(Fault $fault): string
    {
        $parts = $this->parts($this->bound('module', Module::class));
        $what = preg_replace_callback('/\Aparts\[(\d+)\](?:\.(\w+))?/', function (array $found) use ($parts): string {
            $key = $found[2] ?? '';

            return ($parts[(int) $found[1]]['title'] ?? 'A part').($key === '' ? '' : ', '.__("module-mark.key.{$key}"));
        }, (string) $fault);

        return ucfirst((string) preg_replace('/\Aparts: /', '', (string) $what)).'.';
    }

    /**
     * @return array<string, mixed>
     */
    private function bands(Module $module): array
    {
        return $this->input('bands') === 'kept'
            ? $module->mark_plan->bands->toArray()
            : GradeScale::documentsFor($module)[(string) $this->input('bands')] ?? [];
    }

    /**
     * @return list<array<string, mixed>>
     */
    private function parts(Module $module): array
    {
        $rows = (array) $this->input('rows');
        $titles = $module->assignments()->pluck('title', 'public_id');
        $in = fn (string $as): array => array_keys(array_filter(
            $rows, fn (mixed $row) => is_array($row) && ($row['as'] ?? '') === $as,
        ));
        $parts = [];
        foreach ($in('own') as $id) {
            $resit = $in("resit:{$id}")[0] ?? null;
            $parts[] = $this->part((string) $id, (string) ($titles[$id] ?? $id), $rows[$id], [(string) $id]) + (
                $resit === null ? [] : ['resit' => array_filter([
                    'of' => (string) $resit, 'cap' => $this->number($rows[$resit]['cap'] ?? null),
                ], fn (?string $one) => $one !== null)]
            );
        }
        foreach (self::LISTS as $key) {
            $of = array_map(strval(...), $in("list-{$key}"));
            $list = (array) ($this->input('lists')[$key] ?? []);
            if ($of !== []) {
                $title = trim((string) ($list['title'] ?? ''));
                $parts[] = ['best' => max(0, (int) ($list['best'] ?? 0))] + $this->part(
                    "list-{$key}", $title === '' ? 'List '.strtoupper($key) : $title, $list, $of,
                );
            }
        }

        return $parts;
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @param  list<string>  $of
     * @return array<string, mixed>
     */
    private function part(string $id, string $title, array $row, array $of): array
    {
        $must = $this->number($row['must_pass'] ?? null);

        return [
            'id' => $id, 'title' => $title, 'weight' => $this->number($row['weight'] ?? null) ?? '', 'of' => $of,
        ] + ($must === null ? [] : ['must_pass' => $must]);
    }

    private function number(mixed $value): ?string
    {
        $text = is_string($value) ? trim(rtrim(trim($value), '%')) : '';

        return $text === '' ? null : $text;
    }
}

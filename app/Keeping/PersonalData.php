<?php

declare(strict_types=1);

namespace App\Keeping;

use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * What is kept of one person, put into a folder: a page to read (index.html), the same for programs (data.json), and
 * their files.
 */
final class PersonalData
{
    /**
     * @return array<string, list<array<string, mixed>>> rows by kind; kinds without any are left out
     */
    public function rows(User $person, bool $all): array
    {
        $found = [];
        foreach ($this->kinds($all) as $kind) {
            $rows = $this->of($kind, $person);
            if ($rows !== []) {
                $found[$kind->name] = array_map(fn (object $row) => $this->readable($kind, $row), $rows);
            }
        }

        return $found;
    }

    /**
     * @return array<string, int> how many rows of each kind there are
     */
    public function counts(User $person): array
    {
        $counts = [];
        foreach (KeptKinds::all() as $kind) {
            $counts[$kind->name] = DB::table($kind->table)
                ->whereRaw($kind->rows, array_fill(0, substr_count($kind->rows, '?'), $person->id))->count();
        }

        return array_filter($counts);
    }

    /**
     * @param  bool  $all  also what the person does not see in the application
     */
    public function fill(string $folder, User $person, bool $all): void
    {
        mkdir("{$folder}/files");
        $rows = $this->rows($person, $all);
        $files = $this->files($folder, $person, $all);
        file_put_contents("{$folder}/data.json", json_encode([
            'format' => 'young-harbor-person/1', 'institution' => config('harbor.institution'),
            'made_at' => now('UTC')->toIso8601ZuluString(), 'kinds' => $rows,
        ], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR));
        file_put_contents("{$folder}/index.html", view('keeping.handed-over', [
            'person' => $person, 'rows' => $rows, 'files' => $files, 'all' => $all,
        ])->render());
    }

    /**
     * @return list<KeptKind>
     */
    private function kinds(bool $all): array
    {
        return array_values(array_filter(KeptKinds::all(), fn (KeptKind $kind) => $all || $kind->shown));
    }

    /**
     * @return list<object>
     */
    private function of(KeptKind $kind, User $person): array
    {
        return array_values(DB::table($kind->table)
            ->whereRaw($kind->rows, array_fill(0, substr_count($kind->rows, '?'), $person->id))
            ->select(array_values(array_unique([...$kind->columns, ...array_filter([$kind->file, $kind->fileName])])))
            ->get()->all());
    }

    /**
     * @return array<string, mixed> with titles in place of numbers
     */
    private function readable(KeptKind $kind, object $row): array
    {
        $read = [];
        foreach ($kind->columns as $column) {
            $value = ((array) $row)[$column];
            $json = is_string($value) && preg_match('/^[\[{]/', $value) === 1 ? json_decode($value, true) : null;
            [$name, $value] = match ($column) {
                'module_id' => ['module', $this->title('modules', 'code', $value)],
                'assignment_id' => ['assignment', $this->title('assignments', 'title', $value)],
                'topic_id' => ['topic', $this->title('topics', 'title', $value)],
                'script_id' => ['assignment', $this->ofScript($value)],
                'last_activity' => ['last_used', gmdate('Y-m-d H:i:s', (int) $value)],
                default => [$column, is_array($json) ? $json : $value],
            };
            if ($value !== null && $value !== '' && $value !== []) {
                $read[$name] = $value;
            }
        }

        return $read;
    }

    private function title(string $table, string $column, mixed $id): string
    {
        static $known = [];

        return $known[$table][(int) $id] ??= (string) DB::table($table)->where('id', $id)->value($column);
    }

    private function ofScript(mixed $id): string
    {
        return $this->title('assignments', 'title', DB::table('scripts')->where('id', $id)->value('assignment_id'));
    }

    /**
     * @return list<array{kind: string, name: string, path: string}> files that were put into the folder, as links
     */
    private function files(string $folder, User $person, bool $all): array
    {
        $found = [];
        foreach ($this->kinds($all) as $kind) {
            foreach ($kind->file === null ? [] : $this->of($kind, $person) as $row) {
                $row = (array) $row;
                $path = (string) ($row[$kind->file] ?? '');
                if ($path === '' || ! Storage::exists($path)) {
                    continue;
                }
                $name = (string) ($row[(string) $kind->fileName] ?? '') ?: 'file';
                $to = sprintf('files/%s-%03d-%s', $kind->name, count($found) + 1, $this->safe($name));
                symlink(Storage::path($path), "{$folder}/{$to}");
                $found[] = ['kind' => $kind->name, 'name' => $name, 'path' => $to];
            }
        }

        return $found;
    }

    private function safe(string $name): string
    {
        $ending = pathinfo($name, PATHINFO_EXTENSION);

        return mb_substr(Str::slug(pathinfo($name, PATHINFO_FILENAME)) ?: 'file', 0, 60)
            .($ending === '' ? '' : '.'.Str::slug($ending));
    }
}

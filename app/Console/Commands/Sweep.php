<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Documents\ResultPdf;
use App\Models\AssignmentTemplate;
use App\Models\BankComment;
use App\Models\DraftCheck;
use App\Models\HandinCopy;
use App\Models\HandinFile;
use App\Models\MarkAttachment;
use App\Models\Reply;
use App\Models\Result;
use App\Models\Review;
use App\Models\RosterImport;
use App\Models\Upload;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Storage;

/**
 * Tidies up: what was begun and never finished, and files that no row names, as a crash between file and row leaves
 * them. Run by the scheduler.
 */
final class Sweep extends Command
{
    /** Files are written before the rows that name them: only what is older than this can be an orphan. */
    private const HOURS = 24;

    private const AT_ONCE = 500;

    protected $signature = 'harbor:sweep';

    protected $description = 'Delete uploads and rosters that were never finished, comments deleted a month ago, and files that nothing names';

    public function handle(): int
    {
        $gone = ['uploads' => 0, 'rosters' => 0, 'comments' => 0, 'files' => 0];
        foreach (Upload::query()->where('updated_at', '<', now()->subDays(2))->lazyById(200) as $upload) {
            Storage::delete($upload->path());
            $upload->delete();
            $gone['uploads']++;
        }
        foreach (
            RosterImport::query()->whereNull('applied_at')->where('created_at', '<', now()->subDay())
                ->lazyById(200) as $import
        ) {
            Storage::delete($import->path);
            $import->delete();
            $gone['rosters']++;
        }
        $gone['comments'] = BankComment::onlyTrashed()->where('deleted_at', '<', now()->subDays(BankComment::KEPT_DAYS))
            ->forceDelete();
        foreach ([
            'handins' => fn (array $paths) => HandinFile::query()->whereIn('path', $paths)->pluck('path'),
            'pages' => fn (array $paths) => HandinFile::query()->whereIn('pages_path', $paths)->pluck('pages_path'),
            'copies' => fn (array $paths) => HandinCopy::query()->whereIn('path', $paths)->pluck('path'),
            'reviews' => fn (array $paths) => Review::query()->whereIn('file_path', $paths)->pluck('file_path'),
            'replies' => fn (array $paths) => Reply::query()->whereIn('file_path', $paths)->pluck('file_path'),
            'attachments' => fn (array $paths) => MarkAttachment::query()->whereIn('path', $paths)->pluck('path'),
            'templates' => fn (array $paths) => AssignmentTemplate::query()->whereIn('path', $paths)->pluck('path'),
            'uploads' => fn (array $paths) => Upload::query()->whereIn('public_id', array_map(basename(...), $paths))
                ->get()->map(fn (Upload $upload) => $upload->path()),
            'drafts' => fn (array $paths) => DraftCheck::query()->whereNotNull('files')->get(['id', 'files'])
                ->flatMap(fn (DraftCheck $draft) => array_column($draft->files ?? [], 'path')),
            'results' => fn (array $paths) => Result::query()->whereIn('public_id', array_map(
                fn (string $path) => substr(basename($path), 0, 36), $paths,
            ))->pluck('public_id')->flatMap(fn (mixed $id) => ResultPdf::paths((string) $id)),
            'rosters' => fn (array $paths) => RosterImport::query()->whereIn('path', $paths)->pluck('path'),
        ] as $folder => $named) {
            $gone['files'] += $this->orphans($folder, $named);
        }
        $this->components->info(
            'Tidied: '.implode(
                ', ', array_map(fn (string $what, int $count) => "{$count} {$what}", array_keys($gone), $gone),
            ).'.'
        );

        return self::SUCCESS;
    }

    /**
     * @param  callable(list<string>): \Illuminate\Support\Collection<int, mixed>  $named
     */
    private function orphans(string $folder, callable $named): int
    {
        $gone = 0;
        $before = now()->subHours(self::HOURS)->getTimestamp();
        foreach (array_chunk(Storage::files($folder), self::AT_ONCE) as $paths) {
            // Copies and pages carry no true time of their own: when their entry changed tells.
            $old = array_values(
                array_filter($paths, fn (string $path) => (int) @filectime(Storage::path($path)) < $before)
            );
            $orphans = $old === [] ? [] : array_diff($old, $named($old)->all());
            Storage::delete($orphans);
            $gone += count($orphans);
        }

        return $gone;
    }
}

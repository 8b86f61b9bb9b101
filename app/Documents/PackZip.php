<?php

declare(strict_types=1);

namespace App\Documents;

use App\Extraction\Child;
use App\Logbook\Entry;
use App\Logbook\Excerpt;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\LogbookLine;
use App\Models\MarkAttachment;
use App\Models\PackScript;
use App\Models\SamplePack;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use RuntimeException;
use Symfony\Component\HttpFoundation\StreamedResponse;
use YoungHarbor\Core\Release\PackManifest;
use YoungHarbor\Core\Tables\Csv;

/**
 * A sample pack as one ZIP: everything as PDF, the marks as CSV, the part of the logbook about it, and a manifest with
 * the SHA-256 of each file. `pack:verify` checks it without the database.
 */
final class PackZip
{
    public function __construct(
        private readonly Pdf $pdf,
        private readonly Logbook $logbook,
        private readonly StreamedZip $zip,
    ) {
    }

    public function of(SamplePack $pack, User $by): StreamedResponse
    {
        DB::transaction(fn () => $this->logbook->write(
            Entry::of(LogEvent::PackTaken)->on($pack->assignment)->with(plan: $pack->public_id)->by($by),
        ));
        $name = Str::slug("{$pack->assignment->module->code} {$pack->assignment->title} {$pack->reader->value}").'-pack.zip';

        return $this->zip->of($name, fn (string $folder) => $this->fill($folder, $pack), isPacked: false);
    }

    private function fill(string $folder, SamplePack $pack): void
    {
        $scripts = $pack->scripts()->whereNotNull('document')->with('script:id,code')->get()
            ->sortBy(fn (PackScript $one) => $one->script->code)->values();
        mkdir("{$folder}/scripts", 0700);
        $put = function (string $name, string $content) use ($folder): void {
            file_put_contents("{$folder}/{$name}", $content);
            touch("{$folder}/{$name}", Child::DATED);
        };
        $put('pack.pdf', $this->pdf->of('moderate.pack-pdf', [
            'pack' => $pack, 'd' => $pack->document ?? [], 'scripts' => $scripts,
        ]));
        foreach ($scripts as $one) {
            $put("scripts/{$one->script->code}.pdf", $this->pdf->of('moderate.pack-script-pdf', ['d' => $one->document]));
        }
        $put('marks.csv', $this->marks($scripts));
        $pack->recordings && $this->recordings($scripts, $put);
        $put('logbook.jsonl', $this->excerpt($pack, $scripts));
        $hashes = [];
        foreach (File::allFiles($folder) as $file) {
            $hashes[$file->getRelativePathname()] = (string) hash_file('sha256', $file->getPathname());
        }
        ksort($hashes, SORT_STRING);
        $put(PackManifest::NAME, json_encode((new PackManifest($hashes, [
            'assignment' => $pack->assignment->title, 'module' => $pack->assignment->module->fullTitle(),
            'reader' => $pack->reader->value, 'scripts' => $scripts->count(),
            'sent' => (string) $pack->sent_at?->toIso8601ZuluString(),
            'signed' => (string) $pack->signed_at?->toIso8601ZuluString(), 'recordings' => $pack->recordings,
        ]))->toArray(), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n");
    }

    /**
     * @param  Collection<int, PackScript>  $scripts
     */
    private function marks(Collection $scripts): string
    {
        $csv = "\u{FEFF}".Csv::line([
            'Script', 'Mark', 'Marker', 'Seeing the others', 'Total', 'Criterion', 'Points', 'Of', 'Level', 'Agreed', 'Band',
        ]);
        foreach ($scripts as $one) {
            $d = $one->document ?? [];
            foreach ((array) ($d['marks'] ?? []) as $mark) {
                foreach ($mark['criteria'] as $criterion) {
                    $csv .= Csv::line([
                        $d['code'], __("mark.seat.{$mark['seat']}"), $mark['marker'], $mark['view'], $mark['total'],
                        $criterion['title'], $criterion['points'], $criterion['max'], $criterion['said'],
                        $d['agreed'], $d['band'],
                    ]);
                }
            }
        }

        return $csv;
    }

    /**
     * @param  Collection<int, PackScript>  $scripts
     * @param  callable(string, string): void  $put
     */
    private function recordings(Collection $scripts, callable $put): void
    {
        $codes = $scripts->mapWithKeys(fn (PackScript $one) => [$one->script_id => $one->script->code]);
        $found = MarkAttachment::query()->where('kind', '<>', 'file')->whereHas(
            'mark', fn ($mark) => $mark->where('counts', true)->whereIn('script_id', $codes->keys()),
        )->with('mark:id,script_id,seat')->orderBy('id')->get();
        foreach ($found as $n => $one) {
            $put(
                'scripts/'.$codes[$one->mark->script_id].'-'.$one->mark->seat->value.'-'.($n + 1).'.'
                    .pathinfo($one->path, PATHINFO_EXTENSION),
                (string) Storage::get($one->path),
            );
        }
    }

    /**
     * @param  Collection<int, PackScript>  $scripts
     */
    private function excerpt(SamplePack $pack, Collection $scripts): string
    {
        $codes = $scripts->map(fn (PackScript $one) => $one->script->code)->flip();
        $settling = array_flip(array_map(fn (LogEvent $one) => $one->value, [
            LogEvent::MarkFinished, LogEvent::MarkReopened, LogEvent::MarkProposed, LogEvent::ProposalAccepted,
            LogEvent::SettledByRule, LogEvent::LeftToMarkers, LogEvent::MarkDecided, LogEvent::SettledOpened,
            LogEvent::ThirdAsked,
        ]));
        $text = '';
        foreach (Excerpt::write(
            $this->logbook->head() ?? throw new RuntimeException('The logbook has no head.'), $this->logbook->publicKey(),
            // Of a script what was done with its marks; nothing of lateness, allowances or names.
            fn (LogbookLine $line): bool => $line->assignment === $pack->assignment->public_id
                && $line->subject_kind === 'script' && isset($codes[$line->subject])
                && isset($settling[$line->event->value]),
        ) as $line) {
            $text .= $line;
        }

        return $text;
    }
}

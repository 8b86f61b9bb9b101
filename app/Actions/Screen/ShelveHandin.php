<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Enums\SourceKind;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\OverlapSource;
use App\Models\Script;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Overlap\Prints;
use YoungHarbor\Core\Overlap\SourceIndex;
use YoungHarbor\Core\Text\Words;

/**
 * Puts a hand-in that counts where others are compared with it, and takes the earlier attempts of its script off: they
 * are in no comparison any more. It joins the archive too when its assignment says so.
 */
final class ShelveHandin
{
    public function __construct(
        private readonly SourceIndex $index,
        private readonly TakeOffShelf $takeOff,
        private readonly RemoveSources $remove,
    ) {
    }

    public function __invoke(Handin $handin, Script $script, Words $words): void
    {
        ($this->takeOff)(Handin::query()->where('script_id', $script->id)->whereKeyNot($handin->id)->pluck('id')->all());
        $normal = $words->normalForms();
        $assignment = $script->assignment;
        $prints = Prints::of($normal, $assignment->givenWords())->all();
        $this->put($handin, SourceKind::Handin, $assignment->id, $assignment, $normal, $prints);
        if ($assignment->screening->joinsArchive) {
            $this->put($handin, SourceKind::Archive, OverlapSource::ARCHIVE, $assignment, $normal, $prints);
        } else {
            ($this->remove)(
                OverlapSource::query()->where('kind', SourceKind::Archive)->where('handin_id', $handin->id)
                    ->whereNull('taken_out_at')->get()->all()
            );
        }
    }

    /**
     * @param  list<string>  $normal
     * @param  list<int>  $prints
     */
    private function put(
        Handin $handin, SourceKind $kind, int $shelf, Assignment $assignment, array $normal, array $prints,
    ): void {
        DB::transaction(function () use ($handin, $kind, $shelf, $assignment, $normal, $prints): void {
            $source = OverlapSource::query()->where('kind', $kind)->where('handin_id', $handin->id)->lockForUpdate()
                ->first();
            if ($source !== null && $source->indexed_at !== null) {
                return;
            }
            if ($source === null) {
                $source = OverlapSource::query()->create([
                    'kind' => $kind, 'shelf' => $shelf, 'handin_id' => $handin->id,
                    'module_id' => $assignment->module_id, 'words' => count($normal),
                    'numbers' => OverlapSource::packed($normal),
                    'title' => $assignment->title,
                    'cohort' => $kind === SourceKind::Archive
                        ? $assignment->module->code.', '.$handin->received_at->format('Y')
                        : '',
                ]);
            } else {
                // The brief or a template has changed: what is not kept of it is another part now.
                $this->index->remove($shelf, $source->id, Prints::possible($normal));
            }
            $this->index->put($shelf, $source->id, $prints);
            $source->update(['indexed_at' => now()]);
        });
    }
}

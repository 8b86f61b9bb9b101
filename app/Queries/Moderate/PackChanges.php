<?php

declare(strict_types=1);

namespace App\Queries\Moderate;

use App\Documents\PackDocument;
use App\Models\Mark;
use App\Models\PackScript;
use App\Models\SamplePack;
use App\Models\Script;
use Illuminate\Support\Collection;

/**
 * What has changed in the scripts of a pack since it was sent.
 */
final class PackChanges
{
    public function __construct(private readonly PackDocument $document)
    {
    }

    /**
     * @param  Collection<int, PackScript>  $scripts
     * @return array<string, array{then: string|null, now: string|null}> agreed marks by code, of those that changed in anything
     */
    public function of(SamplePack $pack, Collection $scripts): array
    {
        $letters = PackDocument::letters(
            Mark::counting()->where('assignment_id', $pack->assignment_id)->with('marker:id,public_id')->get(),
        );
        $now = Script::query()->whereKey($scripts->pluck('script_id'))
            ->with(['marks.rubricVersion', 'marks.handin.files', 'settlement', 'assignment.rubricVersion'])->get()->keyBy('id');
        $changed = [];
        foreach ($scripts as $one) {
            $script = $now->get($one->script_id);
            if ($script === null || $one->document === null) {
                continue;
            }
            $document = $this->document->script($script, $letters);
            // A marker who came later moves the letters, and changes nothing of this script.
            if ($this->plain($document) !== $this->plain($one->document)) {
                $changed[$script->code] = ['then' => $one->document['agreed'], 'now' => $document['agreed']];
            }
        }

        return $changed;
    }

    /**
     * @param  array<string, mixed>  $document
     */
    private function plain(array $document): string
    {
        $document['marks'] = array_map(
            fn (array $mark) => array_diff_key($mark, ['marker' => true]), (array) $document['marks'],
        );

        return PackDocument::sha256($document);
    }
}

<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Enums\AttachedText;
use App\Extraction\Reader;
use App\Extraction\Refusal;
use App\Models\Reply;
use App\Models\Review;
use Illuminate\Support\Facades\Storage;
use YoungHarbor\Core\Document\Masking;

/**
 * Makes the text of what is attached anew, its writer's names hidden: what is read before names are revealed. Pictures,
 * recordings and whatever else has no text wait until then.
 */
final class ReadAttached
{
    /** Longer texts are cut, and end in an ellipsis. */
    private const MOST_CHARACTERS = 200_000;

    public function __construct(private readonly Reader $reader)
    {
    }

    public function __invoke(Reply|Review $on): void
    {
        $text = $on->file_path === null ? '' : $this->text($on, Storage::path($on->file_path));
        $on->update([
            'file_state' => $text === '' ? AttachedText::None : AttachedText::Made,
            'file_text' => $text === '' ? null : $text,
        ]);
    }

    private function text(Reply|Review $on, string $path): string
    {
        try {
            $kind = $this->reader->kind($path, $on->file_name);
            $read = Masking::of($this->reader->readAs($kind, $path, $on->file_name)->document, $on->masks());
        } catch (Refusal) {
            return '';
        }
        $text = trim($read->document->text());

        return mb_strlen($text) > self::MOST_CHARACTERS ? mb_substr($text, 0, self::MOST_CHARACTERS).'…' : $text;
    }
}

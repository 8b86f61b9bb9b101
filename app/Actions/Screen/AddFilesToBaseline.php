<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Extraction\Reader;
use App\Extraction\ReaderBusy;
use App\Extraction\Refusal;
use App\Models\User;
use App\Models\WritingBaseline;
use Illuminate\Http\UploadedFile;

/**
 * Adds files to a baseline. They are read; their names and properties are not kept.
 */
final class AddFilesToBaseline
{
    public function __construct(
        private readonly Reader $reader,
        private readonly AddToBaseline $add,
    ) {
    }

    /**
     * @param  list<UploadedFile>  $files
     * @return array{added: int, already: int, refused: list<string>}
     */
    public function __invoke(WritingBaseline $baseline, array $files, string $title, User $by): array
    {
        $texts = $refused = [];
        foreach ($files as $file) {
            try {
                $texts[] = [$title, $this->reader->read($file->getRealPath(), $file->getClientOriginalName())->text()];
            } catch (Refusal|ReaderBusy $e) {
                $refused[] = $file->getClientOriginalName().': '.$e->getMessage();
            }
        }

        return [...($this->add)($baseline, $texts, $by), 'refused' => $refused];
    }
}

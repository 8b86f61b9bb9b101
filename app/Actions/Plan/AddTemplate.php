<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Screen\CompareWhatIsIn;
use App\Exceptions\Refused;
use App\Extraction\Reader;
use App\Extraction\ReaderBusy;
use App\Extraction\Refusal;
use App\Handins\WorkReader;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\AssignmentTemplate;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * Gives students a file to begin from. Its words do not count when scripts are compared, so what is in already is
 * compared again.
 */
final class AddTemplate
{
    private const MOST = 10;

    public function __construct(
        private readonly Logbook $logbook,
        private readonly Reader $reader,
        private readonly CompareWhatIsIn $compare,
    ) {
    }

    /**
     * @throws Refused when there are as many as there may be, or it could not be read for want of time
     */
    public function __invoke(Assignment $assignment, UploadedFile $file): AssignmentTemplate
    {
        $bytes = (string) $file->get();
        $sum = hash('sha256', $bytes);
        $name = WorkReader::safeName($file->getClientOriginalName());
        $text = $this->words($file, $name);
        $path = 'templates/'.Str::uuid()->toString();

        return DB::transaction(function () use ($assignment, $name, $path, $bytes, $sum, $text): AssignmentTemplate {
            Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            throw_if(
                $assignment->templates()->count() >= self::MOST,
                new Refused(
                    'There are '.self::MOST.' template files already; take one away first.', 'template',
                ),
            );
            Storage::put($path, $bytes);
            $made = $assignment->templates()->create(
                ['name' => $name, 'path' => $path, 'bytes' => strlen($bytes), 'sha256' => $sum, 'text' => $text]
            );
            $this->logbook->write(
                Entry::of(LogEvent::TemplateAdded)->on($assignment)->with(sha256: $sum)->saying(file: $name)
            );
            ($this->compare)($assignment->unsetRelation('templates'));

            return $made;
        });
    }

    /** None for what holds no text, such as a spreadsheet. */
    private function words(UploadedFile $file, string $name): string
    {
        try {
            return $this->reader->read($file->getRealPath(), $name)->text();
        } catch (Refusal) {
            return '';
        } catch (ReaderBusy $e) {
            throw new Refused($e->getMessage(), 'template');
        }
    }
}

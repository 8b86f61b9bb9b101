<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Handin;
use App\Models\HandinFile;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Opens what a student handed in as it came in, names and all, for a coordinator with a reason. Each time is logged:
 * whoever reads the original can know its script again.
 */
final class OpenOriginal
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  int  $number  of the file, from 1
     *
     * @throws Refused
     */
    public function __invoke(Script $script, int $number, string $reason, User $by): HandinFile
    {
        return DB::transaction(function () use ($script, $number, $reason, $by): HandinFile {
            $handin = $script->currentHandin;
            $file = $handin instanceof Handin ? $handin->files->firstWhere('position', $number) : null;
            throw_if($file === null, new Refused('There is no such file.', 'original_reason'));
            throw_if($file->path === '', new Refused(__('keeping.erase.text_gone'), 'original_reason'));
            $this->logbook->write(
                Entry::of(LogEvent::OriginalOpened)->on($script->student)->in($script->assignment)->with(file: $number)
                    ->because($reason)->by($by)
            );

            return $file;
        });
    }
}

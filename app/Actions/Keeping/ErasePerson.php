<?php

declare(strict_types=1);

namespace App\Actions\Keeping;

use App\Exceptions\Refused;
use App\Handins\WorkReader;
use App\Keeping\Erasing;
use App\Keeping\ErasureObstacles;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Erasure;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use YoungHarbor\Core\Names\Mask;

/**
 * Erases what is kept of a student, for a reason. That it was done, when and on whose word stays known.
 */
final class ErasePerson
{
    public function __construct(private readonly Logbook $logbook, private readonly Erasing $erasing)
    {
    }

    /**
     * @throws Refused naming what stands in the way
     */
    public function __invoke(User $person, string $reason, User $by): void
    {
        $paths = DB::transaction(function () use ($person, $reason, $by): array {
            $stored = User::query()->lockForUpdate()->findOrFail($person->id);
            $obstacles = ErasureObstacles::of($stored);
            if ($obstacles !== []) {
                throw new Refused(implode(' ', $obstacles));
            }
            $reason = Mask::hideAll(WorkReader::masks([$stored]), $reason);
            $gone = ($this->erasing)($stored);
            Erasure::query()->create([
                'user_id' => $stored->id, 'reason' => $reason, 'counts' => $gone['counts'], 'erased_by' => $by->id,
                'erased_at' => now(),
            ]);
            $this->logbook->write(
                Entry::of(LogEvent::PersonErased)->on($stored)->with(files: $gone['counts']['files'] ?? 0)
                    ->because($reason)->by($by)
            );

            return $gone['paths'];
        });
        // Only once it is certain: a row whose file is gone would be worse than a file whose row is.
        foreach ($paths as $path) {
            Storage::delete($path);
            Storage::deleteDirectory($path);
        }
    }
}

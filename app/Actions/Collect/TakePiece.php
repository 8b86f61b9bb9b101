<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Exceptions\Refused;
use App\Handins\PieceOutcome;
use App\Models\Upload;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use RuntimeException;

/**
 * Takes the next piece of a file. When the last one is there the whole must have the sum that was declared.
 */
final class TakePiece
{
    /** Bytes of a piece, at most. */
    public const MOST = 1_048_576;

    public function __construct(private readonly DropUploads $drop)
    {
    }

    /**
     * @param  int  $from  the byte it begins with
     * @param  Carbon  $at  when it arrived at the front
     *
     * @throws Refused for a piece of no size or more than it may have
     */
    public function __invoke(Upload $upload, int $from, string $piece, Carbon $at): PieceOutcome
    {
        throw_if(strlen($piece) > self::MOST || $piece === '', new Refused('A piece holds 1 byte to 1 MB.'));

        return DB::transaction(function () use ($upload, $from, $piece, $at): PieceOutcome {
            $stored = Upload::query()->lockForUpdate()->findOrFail($upload->id);
            // A piece that arrived while its answer was lost comes twice.
            if ($from !== $stored->arrived || $stored->arrived + strlen($piece) > $stored->bytes) {
                return PieceOutcome::Elsewhere;
            }
            $path = Storage::path($stored->path());
            $this->write($path, $stored->arrived, $piece);
            if ($stored->arrived === 0) {
                $stored->first_at = $at;
            }
            $stored->arrived += strlen($piece);
            if ($stored->arrived === $stored->bytes) {
                if (hash_file('sha256', $path) !== $stored->sha256) {
                    ($this->drop)([$stored]);

                    return PieceOutcome::Changed;
                }
                $stored->whole_at = now();
            }
            $stored->save();

            return PieceOutcome::Taken;
        });
    }

    /** What a stopped server wrote beyond the count is written over. */
    private function write(string $path, int $from, string $piece): void
    {
        is_dir(dirname($path)) || mkdir(dirname($path), 0700, true);
        $file = fopen($path, 'c');
        if (
            $file === false || ! ftruncate($file, max(0, $from)) || fseek($file, $from) !== 0
            || fwrite($file, $piece) !== strlen($piece)
        ) {
            throw new RuntimeException('The piece could not be written.');
        }
        fclose($file);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers\Collect;

use App\Actions\Collect\ReadWork;
use App\Exceptions\Refused;
use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Models\Script;
use App\Models\Upload;
use App\Support\Arrival;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * Files that arrive piece by piece. A lost connection costs the last piece; the same file, chosen again, goes on where
 * it stopped. Nothing is handed in by this alone.
 */
final class UploadController extends Controller
{
    /** Bytes of a piece, at most. */
    private const PIECE = 1_048_576;

    private const MOST_OPEN = 40;

    /**
     * Begins a file, or finds the one begun before. Its size and SHA-256 are declared, and its first piece may come
     * with them: from then on it is known what is handed in, whatever the rest takes.
     */
    public function store(Request $request, Assignment $assignment): JsonResponse
    {
        $this->authorize('handIn', $assignment);
        $fields = $request->validate(
            [
                'name' => ['required', 'string', 'max:1000'],
                'bytes' => ['required', 'integer', 'min:1', 'max:'.$assignment->max_megabytes * 1_048_576],
                'sha256' => ['required', 'regex:/\A[0-9a-f]{64}\z/'],
                'piece' => ['nullable', 'file', 'max:'.self::PIECE / 1024],
            ],
            [
                'bytes.min' => 'This file is empty (0 bytes). Choose the file again after saving it in your writing program.',
                'bytes.max' => "This file is larger than the {$assignment->max_megabytes} MB this assignment takes, so it was not sent.",
            ],
        );
        $student = $this->person($request);
        throw_if(
            ! Script::query()->where('assignment_id', $assignment->id)->where('student_id', $student->id)->exists(),
            new Refused('You are not on the list for this assignment. Ask your module coordinator to add you.'),
        );
        $this->makeRoom($student->id);
        $known = [
            'assignment_id' => $assignment->id, 'student_id' => $student->id, 'sha256' => $fields['sha256'],
            'bytes' => (int) $fields['bytes'], 'name' => ReadWork::safeName($fields['name']),
        ];
        $upload = Upload::query()->where($known)->latest('id')->first() ?? Upload::query()->create($known)->refresh();
        $piece = $request->file('piece');
        if ($piece instanceof UploadedFile && $upload->arrived === 0) {
            $refused = $this->fill($upload, 0, (string) $piece->getContent(), Arrival::of($request));
            if ($refused !== null && $refused->status() !== 409) {
                return $refused;
            }
            $upload->refresh();
        }

        return response()->json(
            ['id' => $upload->public_id, 'arrived' => $upload->arrived, 'to' => route('uploads.update', $upload)]
        );
    }

    /** Takes the next piece; where it has to begin is answered with each. */
    public function update(Request $request, Upload $upload): JsonResponse
    {
        $this->authorize('fill', $upload);

        return $this->fill($upload, $request->integer('from'), (string) $request->getContent(), Arrival::of($request))
            ?? response()->json(['arrived' => $upload->refresh()->arrived]);
    }

    /**
     * @return JsonResponse|null what is answered when the piece is not taken
     */
    private function fill(Upload $upload, int $from, string $piece, Carbon $at): ?JsonResponse
    {
        abort_if(strlen($piece) > self::PIECE || $piece === '', 422, 'A piece holds 1 byte to 1 MB.');

        return DB::transaction(function () use ($upload, $from, $piece, $at): ?JsonResponse {
            $stored = Upload::query()->lockForUpdate()->findOrFail($upload->id);
            // A piece that arrived while its answer was lost comes twice.
            if ($from !== $stored->arrived || $stored->arrived + strlen($piece) > $stored->bytes) {
                return response()->json(['arrived' => $stored->arrived], 409);
            }
            $path = Storage::path($stored->path());
            is_dir(dirname($path)) || mkdir(dirname($path), 0700, true);
            $file = fopen($path, 'c');
            // What a stopped server wrote beyond the count is written over.
            if (
                $file === false || ! ftruncate($file, max(0, $stored->arrived)) || fseek($file, $stored->arrived) !== 0
                || fwrite($file, $piece) !== strlen($piece)
            ) {
                abort(500, 'The piece could not be written.');
            }
            fclose($file);
            if ($stored->arrived === 0) {
                $stored->first_at = $at;
            }
            $stored->arrived += strlen($piece);
            if ($stored->arrived === $stored->bytes) {
                if (hash_file('sha256', $path) !== $stored->sha256) {
                    Storage::delete($stored->path());
                    $stored->delete();

                    return response()->json(
                        [
                            'message' => 'The file changed while it was being sent, so it was not handed in. Close it in your writing program, and choose it again.',
                        ],
                        422,
                    );
                }
                $stored->whole_at = now();
            }
            $stored->save();

            return null;
        });
    }

    /** Nobody has more than so many files open; the oldest go first. What is left unfinished is swept by the hour. */
    private function makeRoom(int $studentId): void
    {
        foreach (
            Upload::query()->where('student_id', $studentId)->latest('id')->skip(self::MOST_OPEN)->limit(50)
                ->get() as $upload
        ) {
            Storage::delete($upload->path());
            $upload->delete();
        }
    }
}

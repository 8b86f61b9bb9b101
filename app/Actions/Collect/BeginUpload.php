<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Exceptions\Refused;
use App\Handins\WorkReader;
use App\Models\Assignment;
use App\Models\Script;
use App\Models\Upload;
use App\Models\User;

/**
 * Begins a file that comes in pieces, or finds the one begun before. Nobody has more than so many files open; the
 * oldest go first. What is left unfinished is swept by the hour.
 */
final class BeginUpload
{
    private const MOST_OPEN = 40;

    public function __construct(private readonly DropUploads $drop)
    {
    }

    /**
     * @param  string  $sha256  declared by the sender, checked when the file is whole
     *
     * @throws Refused
     */
    public function __invoke(Assignment $assignment, User $student, string $name, int $bytes, string $sha256): Upload
    {
        throw_if(
            ! Script::query()->where('assignment_id', $assignment->id)->where('student_id', $student->id)->exists(),
            new Refused('You are not on the list for this assignment. Ask your module coordinator to add you.'),
        );
        ($this->drop)(
            Upload::query()->where('student_id', $student->id)->latest('id')->skip(self::MOST_OPEN)->limit(50)->get()
        );
        $known = [
            'assignment_id' => $assignment->id, 'student_id' => $student->id, 'sha256' => $sha256, 'bytes' => $bytes,
            'name' => WorkReader::safeName($name),
        ];

        return Upload::query()->where($known)->latest('id')->first() ?? Upload::query()->create($known)->refresh();
    }
}

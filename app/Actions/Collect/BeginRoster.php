<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Handins\WorkReader;
use App\Imports\RosterReading;
use App\Models\Module;
use App\Models\RosterImport;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Keeps a roster file beside the module until it is applied, with a first guess at what its columns are.
 */
final class BeginRoster
{
    public function __construct(private readonly RosterReading $reading)
    {
    }

    /**
     * @throws InvalidInput when the file is no roster
     */
    public function __invoke(Module $module, UploadedFile $file, User $by): RosterImport
    {
        $begun = $this->reading->begin($file->getRealPath());
        $path = 'rosters/'.Str::uuid()->toString();
        Storage::put($path, (string) $file->get());

        return RosterImport::query()->create([
            'module_id' => $module->id, 'made_by' => $by->id,
            'file_name' => WorkReader::safeName($file->getClientOriginalName()), 'path' => $path, ...$begun,
        ]);
    }
}

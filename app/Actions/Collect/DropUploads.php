<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Models\Upload;
use Illuminate\Support\Facades\Storage;

/**
 * Lets go of files that came in pieces: handed in by now, or never finished.
 */
final class DropUploads
{
    /**
     * @param  iterable<Upload>  $uploads
     */
    public function __invoke(iterable $uploads): void
    {
        foreach ($uploads as $upload) {
            Storage::delete($upload->path());
            $upload->delete();
        }
    }
}

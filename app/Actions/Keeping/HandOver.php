<?php

declare(strict_types=1);

namespace App\Actions\Keeping;

use App\Documents\StreamedZip;
use App\Keeping\PersonalData;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\User;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * Hands over what is kept of a person: to themselves what they see, to an administrator all of it. Packed while it is
 * sent; nothing of it stays on the server.
 */
final class HandOver
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly PersonalData $data,
        private readonly StreamedZip $zip,
    ) {
    }

    public function __invoke(User $person, User $by, string $reason = ''): StreamedResponse
    {
        $all = ! $by->is($person);
        $this->logbook->note(Entry::of(LogEvent::DataHandedOver)->on($person)->because($reason)->by($by));

        return $this->zip->of(
            (Str::slug($person->name) ?: 'person').'-'.now()->format('Y-m-d').'.zip',
            fn (string $folder) => $this->data->fill($folder, $person, $all), false,
        );
    }
}

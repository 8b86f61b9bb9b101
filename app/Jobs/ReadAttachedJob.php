<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Release\ReadAttached;
use App\Enums\AttachedText;
use App\Models\Reply;
use App\Models\Review;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Queue\SerializesModels;
use Throwable;

/**
 * Has the text of what is attached made anew without names. What cannot be read waits until names are revealed.
 */
final class ReadAttachedJob implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;
    use SerializesModels;

    public int $tries = 3;

    public int $timeout = 120;

    public function __construct(public readonly Reply|Review $on)
    {
    }

    public function handle(ReadAttached $read): void
    {
        $this->on->file_state === AttachedText::Waits && $read($this->on);
    }

    public function failed(?Throwable $e): void
    {
        $this->on->update(['file_state' => AttachedText::None]);
    }
}

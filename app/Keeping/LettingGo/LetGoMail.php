<?php

declare(strict_types=1);

namespace App\Keeping\LettingGo;

use App\Enums\MailState;
use App\Models\User;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * What people were told in the application and by mail, and what coordinators wrote to many. What still waits to be
 * sent stays, and what was told to someone of whom everything is held.
 */
final readonly class LetGoMail implements LettingGoByAge
{
    public function count(Carbon $before): int
    {
        return array_sum(array_map(fn (Builder $rows) => $rows->count(), $this->rows($before)));
    }

    public function __invoke(Carbon $before): Gone
    {
        return new Gone(array_filter(array_map(fn (Builder $rows) => $rows->delete(), $this->rows($before))));
    }

    /**
     * @return array<string, Builder>
     */
    private function rows(Carbon $before): array
    {
        return [
            'notices' => DB::table('notices')->where('created_at', '<', $before)
                ->whereNotIn('mail', [MailState::Waiting, MailState::Daily, MailState::Sending])
                ->whereNotIn('user_id', User::query()->whereNotNull('hold_reason')->select('id')),
            'messages' => DB::table('messages')->where('created_at', '<', $before),
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Actions\Reflect;

use App\Models\ReflectionSheet;
use App\Notices\TellOfSheet;
use Illuminate\Support\Facades\DB;

/**
 * Reminds students once, a day before it is due, of a reflection they have not written.
 */
final class RemindOfSheets
{
    private const HOURS = 24;

    public function __construct(private readonly TellOfSheet $tell)
    {
    }

    public function __invoke(): void
    {
        ReflectionSheet::query()->whereNotNull('opened_at')->whereNull('reminded_at')
            ->whereBetween('due_at', [now(), now()->addHours(self::HOURS)])->with('module')
            ->eachById(fn (ReflectionSheet $one) => DB::transaction(function () use ($one): void {
                $this->tell->remind($one);
                $one->update(['reminded_at' => now()]);
            }));
    }
}

<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Collect\TakeHandIn;
use App\Models\HandinFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;
use Tests\Files;
use Tests\TestCase;

/**
 * What a crash or a change of mind leaves behind is tidied away by the hour; what anything names stays.
 */
final class SweepTest extends TestCase
{
    public function test_a_file_that_nothing_names_goes_after_a_day_and_every_other_stays(): void
    {
        $this->module();
        app(TakeHandIn::class)($this->assignment(), $this->students[0], Files::upload('Words that stay.', 'essay.txt'));
        $kept = HandinFile::query()->sole()->path;
        Storage::put('handins/left-by-a-crash', 'half an essay');
        Storage::put('copies/left-by-a-crash', 'half a copy');
        Storage::put('uploads/left-by-a-crash', 'a piece');

        $this->artisan('harbor:sweep')->assertSuccessful();
        self::assertTrue(Storage::exists('handins/left-by-a-crash'), 'a row that names it may still be on its way');

        Carbon::setTestNow(now()->addHours(25));
        $this->artisan('harbor:sweep')->assertSuccessful();
        self::assertSame(
            [false, false, false, true],
            array_map(
                fn (string $path) => Storage::exists($path),
                ['handins/left-by-a-crash', 'copies/left-by-a-crash', 'uploads/left-by-a-crash', $kept],
            ),
        );
    }
}

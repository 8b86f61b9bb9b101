<?php

declare(strict_types=1);

namespace Tests;

use App\Jobs\MakeCopies;
use App\Jobs\PrepareHandin;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as Base;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Queue;

abstract class TestCase extends Base
{
    use RefreshDatabase;
    use World;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        // Pages and copies take a worker their time; tests that need them make them.
        Queue::fake([PrepareHandin::class, MakeCopies::class]);
        // Each test begins with an empty logbook, so the head kept outside the database begins anew too.
        File::deleteDirectory(config('harbor.files').'/logbook');
    }
}

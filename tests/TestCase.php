<?php

declare(strict_types=1);

namespace Tests;

use App\Http\Middleware\CheckAccount;
use App\Jobs\MakeCopiesJob;
use App\Jobs\PrepareHandinJob;
use App\Models\User;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as Base;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;

abstract class TestCase extends Base
{
    use RefreshDatabase;
    use World;

    /**
     * A request arrives when the test's clock says.
     *
     * @param  string  $method
     * @param  string  $uri
     * @param  array<mixed>  $parameters
     * @param  array<mixed>  $cookies
     * @param  array<mixed>  $files
     * @param  array<mixed>  $server
     * @param  string|null  $content
     */
    public function call(
        $method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null,
    ): TestResponse {
        return parent::call(
            $method, $uri, $parameters, $cookies, $files,
            $server + ['REQUEST_TIME_FLOAT' => (float) now()->format('U.u')], $content,
        );
    }

    /** Whoever a test acts as has been here before: they were asked about a second step a moment ago. */
    public function actingAs(Authenticatable $user, $guard = null): static
    {
        $this->withSession([CheckAccount::AT => now()->getTimestamp()]);

        return parent::actingAs($user, $guard);
    }

    /** As someone whose session has just begun. */
    protected function anew(User $user): static
    {
        $this->flushSession();

        return parent::actingAs($user);
    }

    protected function createTestResponse($response, $request): PageResponse
    {
        $page = PageResponse::fromBaseResponse($response, $request);

        return $page->withExceptions(parent::createTestResponse($response, $request)->exceptions);
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutDeprecationHandling();
        $this->withoutVite();
        // Pages and copies take a worker their time; tests that need them make them.
        Queue::fake([PrepareHandinJob::class, MakeCopiesJob::class]);
        // Each test begins with an empty logbook, so the head kept outside the database begins anew too.
        File::deleteDirectory(config('harbor.files').'/logbook');
    }
}

<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Http\Response;
use Illuminate\Support\Arr;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response as Any;

/**
 * What came back, read as a browser reads it: any white space is one space, and none of it counts beside a tag.
 * Where a view breaks its lines is thereby nobody's business but the view's.
 *
 * @extends TestResponse<Any>
 */
final class PageResponse extends TestResponse
{
    public function assertSee($value, $escape = true)
    {
        return $this->read(fn (TestResponse $page) => $page->assertSee($this->wanted($value, $escape), false));
    }

    public function assertDontSee($value, $escape = true)
    {
        parent::assertDontSee($value, $escape);

        return $this->read(fn (TestResponse $page) => $page->assertDontSee($this->wanted($value, $escape), false));
    }

    public function assertSeeInOrder(array $values, $escape = true)
    {
        return $this->read(fn (TestResponse $page) => $page->assertSeeInOrder($this->wanted($values, $escape), false));
    }

    /** @param  \Closure(TestResponse<Response>): mixed  $check */
    private function read(\Closure $check): static
    {
        $check(new TestResponse(new Response($this->collapsed((string) $this->getContent()))));

        return $this;
    }

    /**
     * @param  string|array<string>  $value
     * @return list<string>
     */
    private function wanted(string|array $value, bool $escape): array
    {
        return array_map(
            fn (string $one) => $this->collapsed($escape ? e($one) : $one), array_values(Arr::wrap($value)),
        );
    }

    private function collapsed(string $html): string
    {
        return (string) preg_replace(['/\s+/', '/\s?([<>])\s?/'], [' ', '$1'], $html);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Feature\Attacks;

use App\Models\User;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use Tests\Feature\Addresses;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;

/**
 * Every form of the application is sent what no form sends: lists where text is meant, bytes that are no text, dates
 * with holes in them, numbers out of all bounds. Each is answered in words, never with an error of ours.
 */
final class HostileFormsTest extends TestCase
{
    use Addresses;

    /** Fields that forms of the application have. */
    private const FIELDS = [
        'title', 'brief', 'due_at', 'opens_at', 'closes_at', 'reason', 'lines', 'role', 'code', 'email',
        'password', 'name', 'text', 'label', 'kind', 'criterion', 'seed', 'markers', 'share', 'section',
        'comment', 'stop', 'changes', 'points', 'mark', 'weights', 'document', 'set', 'module', 'seen',
        'from', 'to', 'what', 'source', 'found', 'why', 'run', 'evidence', 'extension', 'extension_reason',
        'waiver', 'extra_days', 'extra_percent', 'cohort', 'texts', 'archive', 'language', 'file', 'files',
        'uploads', 'typed_text', 'link', 'declare', 'once', 'subject', 'body', 'columns', 'classes', 'roles',
        'days', 'date', 'groups', 'size', 'theme', 'keys', 'side', 'bytes', 'sha256', 'rubric', 'version',
        'where', 'template', 'bands', 'decimals', 'tolerance', 'settle_rule', 'pass_mark', 'number',
        'original_reason', 'script', 'part', 'marker', 'student', 'scripts', 'proposal', 'agreed', 'seconds',
        'recording', 'written', 'hold', 'value', 'field', 'at', 'who', 'same', 'current_password', 'token',
        'constant', 'factor', 'decision', 'digest',
    ];

    /** @return array<string, mixed> what each field is given, by kind */
    private static function kinds(): array
    {
        return [
            'a list for text' => ['a', ['b' => ['c']]],
            'a null byte' => "2026-01-01T10:00\0",
            'bytes that are no text' => "caf\xE9 \xF0\x28\x8C\x28",
            'a very long word' => str_repeat('x', 12_000),
            'a number out of bounds' => '99999999999999999999999',
            'a date with a hole' => '2026-13-45T99:99',
            'nothing' => '',
        ];
    }

    public function test_every_form_answers_hostile_input_in_words(): void
    {
        $this->module(2, 2);
        $assignment = $this->released();
        $people = [
            'coordinator' => $this->coordinator,
            'tutor' => $this->markOf($this->script($assignment), Seat::First)->marker, 'student' => $this->students[0],
            'admin' => User::factory()->create(['is_admin' => true]),
        ];
        $faults = [];
        $sent = 0;
        foreach (Routes::getRoutes() as $route) {
            assert($route instanceof Route);
            $method = $route->methods()[0];
            if (
                $method === 'GET' || $route->getActionName() === 'Closure'
                || in_array($route->getName(), ['sign-out', null], true)
                || str_starts_with((string) $route->getName(), 'storage.')
            ) {
                continue;
            }
            $address = null;
            foreach (self::kinds() as $kind => $value) {
                $address = $address !== null && $method !== 'DELETE'
                    ? $address
                    : (
                        str_contains($route->uri(), '{user}')
                        || str_contains($route->uri(), '{token}')
                            ? '/'.strtr($route->uri(), ['{user}' => $this->students[0]->public_id, '{token}' => 'x'])
                            : $this->address($route, $assignment)
                    );
                $who = array_keys($people)[$sent % count($people)];
                // Whoever may use the form, as far as it can be told: the coordinator's pages by the coordinator, and
                // so on.
                foreach ($kind === 'a list for text' ? array_unique(['coordinator', $who]) : ['coordinator'] as $as) {
                    $sent++;
                    $answer = $this->actingAs($people[$as]->fresh() ?? $people[$as])->call(
                        $method, $address, array_fill_keys(self::FIELDS, $value),
                        server: ['HTTP_ACCEPT' => $sent % 3 === 0 ? 'application/json' : 'text/html'],
                    );
                    if ($answer->baseResponse->getStatusCode() >= 500) {
                        $faults[] = "{$method} {$route->uri()} as {$as}, {$kind}: "
                            .$answer->baseResponse->getStatusCode().' '
                            .mb_substr((string) ($answer->exception?->getMessage()), 0, 160).' at '
                            .basename((string) $answer->exception?->getFile()).':'.$answer->exception?->getLine();
                    }
                }
            }
        }
        fwrite(STDERR, "\nHostile forms sent: {$sent}\n");
        self::assertGreaterThan(150, $sent);
        self::assertSame([], array_values(array_unique($faults)));
    }

    public function test_raw_json_that_is_none_of_a_page_is_answered_in_words(): void
    {
        $this->module(2, 1);
        $mark = $this->markOf($this->script($this->sharedOut($this->assignment())), Seat::First);
        $this->actingAs($mark->marker);
        foreach (
            [
                '{', '[]', 'null', '"x"', '{"changes":"x"}', '{"changes":[1,2]}', '{"changes":[{"key":[],"now":{}}]}',
                '{"changes":{"a":1}}', '{"changes":[{"key":"mark:c1","was":[],"now":{"stop":["l1"]}}]}',
                "{\"changes\":[{\"key\":\"general_comment\",\"was\":\"\",\"now\":\"a\xED\xA0\x80b\"}]}",
                str_repeat('[', 600),
            ] as $n => $body
        ) {
            $answer = $this->call(
                'PATCH', route('mark.sync', $mark),
                server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: $body,
            );
            self::assertLessThan(500, $answer->status(), "body {$n}: ".($answer->exception?->getMessage() ?? ''));
        }
    }

    public function test_one_broken_letter_does_not_refuse_a_whole_batch_of_changes(): void
    {
        $this->module(2, 1);
        $mark = $this->markOf($this->script($this->sharedOut($this->assignment())), Seat::First);
        $this->actingAs($mark->marker);
        // A lone surrogate, as a browser sends half of an emoji.
        $body = '{"changes":[{"key":"mark:c1","was":[],"now":{"stop":"l3"}},{"key":"general","was":"","now":"Well argued \ud83d."}]}';
        $answer = $this->call(
            'PATCH', route('mark.sync', $mark),
            server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: $body,
        );
        self::assertSame(200, $answer->status());
        self::assertSame(
            ['saved', 'saved'], [$answer->json('outcomes.mark:c1.state'), $answer->json('outcomes.general.state')],
            (string) $answer->getContent(),
        );
        self::assertSame("Well argued \u{FFFD}.", $mark->refresh()->general_comment);
    }

    public function test_addresses_of_other_people_and_of_nothing_are_refused(): void
    {
        $this->module(2, 2);
        $assignment = $this->released();
        $outsider = User::factory()->create();
        $tried = 0;
        foreach (Routes::getRoutes() as $route) {
            $name = (string) $route->getName();
            if (
                ! str_contains($route->uri(), '{') || $route->getActionName() === 'Closure'
                || str_starts_with($name, 'storage.') || str_contains($route->uri(), '{user}')
                || str_contains($route->uri(), '{token}')
            ) {
                continue;
            }
            $own = $this->address($route, $assignment);
            $uuid = '/[0-9a-f]{8}-[0-9a-f-]{27}/';
            foreach (
                [
                    $own, (string) preg_replace($uuid, '00000000-0000-4000-8000-000000000000', $own),
                    (string) preg_replace($uuid, '1', $own, 1),
                    (string) preg_replace($uuid, '%27%20OR%201=1--', $own, 1),
                    (string) preg_replace($uuid, '..%2f..%2fetc%2fpasswd', $own, 1),
                ] as $address
            ) {
                $tried++;
                $status = $this->actingAs($outsider)->call($route->methods()[0], $address)
                    ->baseResponse->getStatusCode();
                self::assertContains($status, [302, 403, 404, 405, 410, 422, 429], "{$address}: {$status}");
                self::assertNotSame(200, $status);
            }
        }
        self::assertGreaterThan(150, $tried);
    }
}

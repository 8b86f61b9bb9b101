<?php

declare(strict_types=1);

/*
 * One edit's round trip on the rubric sheet, a field written and the weight bar and checks drawn again, with a rubric
 * of 4 criteria by 4 levels and with one of 60 by 8: the ratio of their times (medians of edits taken in turn).
 */

use App\Models\Rubric;
use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Tests\World;

require __DIR__.'/begin.php';

$world = new class
{
    use World;

    public function rubric(int $criteria, int $levels): Rubric
    {
        // Descriptors of the starter set, shifted from cell to cell, so that neighbours differ as they do in real ones.
        $texts = [];
        foreach ((fn () => require __DIR__.'/../../database/starter/rubrics.php')() as $document) {
            foreach ($document['criteria'] as $each) {
                array_push($texts, ...array_values($each['descriptors'] ?? []));
            }
        }
        $words = fn (int $i, int $j): string => $texts[($i * 7 + $j * 3) % count($texts)];
        $ids = array_map(fn (int $j) => "l{$j}", range(1, $levels));

        return Rubric::query()
            ->create(['module_id' => $this->module->id, 'saved_by' => $this->coordinator->id, 'title' => "{$criteria} by {$levels}", 'document' => [
                'title' => "{$criteria} by {$levels}", 'weighting' => 'percent', 'decimals' => 1,
                'levels' => array_map(
                    fn (string $id, int $j) => ['id' => $id, 'title' => "Level {$j}", 'points' => (string) $j], $ids,
                    array_keys($ids),
                ),
                'criteria' => array_map(fn (int $i) => [
                    'id' => "c{$i}", 'title' => "Criterion {$i}", 'purpose' => 'What it looks for', 'kind' => 'levels', 'optional' => false,
                    'weight' => $criteria === 4 ? '25' : ($i <= 40 ? '1.5' : '2'),
                    'descriptors' => array_combine($ids, array_map(fn (int $j) => $words($i, $j), array_keys($ids))),
                    'guidance' => [], 'overrides' => [], 'unused' => [],
                ], range(1, $criteria)),
            ]])->refresh();
    }

    public function person(): User
    {
        $this->module(0, 0);

        return $this->coordinator;
    }
};

$person = $world->person();
$rubrics = ['4 by 4' => $world->rubric(4, 4), '60 by 8' => $world->rubric(60, 8)];
$times = ['field' => [], 'sheet' => []];
for ($i = 0; $i < 45; $i++) {
    foreach ($rubrics as $size => $rubric) {
        foreach (['field' => '', 'sheet' => 'cells:descriptors'] as $what => $do) {
            $was = $rubric->refresh()->draft()->get('criteria.c2.descriptors.l2');
            Auth::setUser(User::query()->findOrFail($person->id));
            $request = Request::create(
                "/rubrics/{$rubric->public_id}", 'PUT',
                [
                    'changes' => json_encode(
                        [['place' => 'criteria.c2.descriptors.l2', 'was' => $was, 'to' => "Edit {$i} {$what}."]]
                    ),
                    'do' => $do, 'cells' => 'descriptors', 'seen' => $rubric->lock_version,
                ],
            );
            $request->headers->set('HX-Request', 'true');
            $took = $spent(function () use ($kernel, $request): void {
                $response = $kernel->handle($request);
                $response->getStatusCode() === 200 || exit("The edit answered {$response->getStatusCode()}\n");
            });
            if ($i >= 5) {
                $times[$what][$size][] = $took;
            }
        }
    }
}
printf("rubric sheet: medians of 40, sizes in turn; processor time of PHP and the database together\n");
foreach (
    ['field' => 'one field written', 'sheet' => 'one field written and the whole sheet drawn again'] as $what => $words
) {
    [$small, $large] = [$median($times[$what]['4 by 4']), $median($times[$what]['60 by 8'])];
    printf(
        "  %s: 4 by 4 %.1f ms, 60 by 8 %.1f ms, ratio %.1f (aim: %d)\n", $words, $small, $large, $large / $small,
        $what === 'field' ? 3 : 6,
    );
}

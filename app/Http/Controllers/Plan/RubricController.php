<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Plan\ChangeRubricState;
use App\Actions\Plan\EditRubric;
use App\Actions\Plan\MakeRubricReady;
use App\Actions\Plan\WalkRubricSteps;
use App\Enums\RubricState;
use App\Exceptions\Refused;
use App\Exceptions\SavedMeanwhile;
use App\Http\Controllers\Controller;
use App\Http\Middleware\DecimalComma;
use App\Models\Rubric;
use App\Models\User;
use App\Queries\Plan\RubricEditors;
use App\Wording\LocalTime;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\Draft;
use YoungHarbor\Core\Rubric\DraftShape;
use YoungHarbor\Core\Rubric\PlaceName;
use YoungHarbor\Core\Rubric\PointsCount;
use YoungHarbor\Core\Rubric\Weighting;

/**
 * The rubric sheet, and the steps of a rubric's life.
 */
final class RubricController extends Controller
{
    /** What the cells of the sheet can show. */
    public const CELLS = [
        'descriptors' => 'descriptors', 'guidance' => 'how to reach the next level', 'points' => 'points and use',
    ];

    public function show(Request $request, Rubric $rubric, RubricEditors $editors): View
    {
        $this->authorize('view', $rubric);

        return view(
            'plan.rubric',
            $this->data($request, $rubric, $rubric->draft()) + [
                'others' => $editors->besides($rubric, $this->person($request)),
            ],
        );
    }

    /**
     * Saves what was typed and does what was asked with it (add, move, spread, undo). A page script sends the fields
     * that changed, with what they held before; without one the whole sheet is sent.
     */
    public function update(
        Request $request, Rubric $rubric, EditRubric $edit, WalkRubricSteps $walk,
    ): View|RedirectResponse|Response {
        $this->authorize('edit', $rubric);
        $person = $this->person($request);
        $do = $request->string('do')->toString();
        if ($request->has('changes')) {
            [$saved, $clashes] = $this->saveChanges($rubric, $person, $this->changes($request), $edit);
            if ($clashes !== []) {
                return $this->clash($request, $rubric, $saved, $clashes);
            }
        } else {
            if ($request->input('whole') !== '1') {
                throw new Refused(
                    'What you sent was cut off on its way, so nothing was saved and your words are still in the page. Try again.'
                );
            }
            $posted = $request->only(['title', 'weighting', 'levels', 'criteria']);
            try {
                $saved = $edit(
                    $rubric, $person, fn (Draft $draft) => $draft->withForm($posted), 'wrote in the sheet', null,
                    $request->integer('seen'),
                );
            } catch (SavedMeanwhile $e) {
                return $this->conflict($request, $e);
            }
        }
        $mine = (int) $saved->wasChanged('lock_version');
        $saved = match (true) {
            $do === 'undo' => $walk($saved, $person, WalkRubricSteps::BACK),
            $do === 'redo' => $walk($saved, $person, WalkRubricSteps::FORTH),
            $do === '' || str_starts_with($do, 'cells:') => $saved,
            default => $edit(
                $saved, $person, fn (Draft $draft) => DraftShape::apply($draft, $do),
                DraftShape::inWords($saved->draft(), $do),
            ),
        };
        // Versions that neither this page knew nor this request made are someone else's: the page fetches them.
        $isBehind = $request->has('seen') && $do === '' && $saved->lock_version > $request->integer('seen') + $mine;
        $cells = str_starts_with($do, 'cells:') ? substr($do, 6) : $request->string('cells')->toString();
        $request->merge(['cells' => $cells]);
        if ($request->input('from') === 'students') {
            return redirect()->route('rubrics.students', $saved);
        }
        if ($request->header('HX-Request') === null) {
            return redirect()->route(
                'rubrics.show', [$saved] + ($cells === '' || $cells === 'descriptors' ? [] : ['cells' => $cells]),
            );
        }
        $data = $this->data($request, $saved, $saved->draft());

        // Typing gets back the weight bar; what changes the shape gets back the whole sheet.
        return $do === ''
            ? view('plan.rubric-side', $data + ['fresh' => true, 'behind' => $isBehind])
            : response()->view('plan.rubric-sheet', $data)
                ->withHeaders(['HX-Retarget' => '#sheet', 'HX-Reswap' => 'outerHTML']);
    }

    /** Who else is at this rubric, and what they saved since this page last knew. */
    public function news(Request $request, Rubric $rubric, RubricEditors $editors): JsonResponse
    {
        $this->authorize('edit', $rubric);
        $person = $this->person($request);
        $editors->note($rubric, $person);
        $isNew = $request->integer('seen') !== $rubric->lock_version;

        return response()->json([
            'version' => $rubric->lock_version, 'working' => $rubric->state === RubricState::WorkingCopy,
            'others' => $editors->besides($rubric, $person),
            'by' => $rubric->saved_by === $person->id ? null : $rubric->savedBy->name,
            'shape' => self::shape($rubric->draft()), 'fields' => $isNew ? $rubric->draft()->fields() : null,
        ]);
    }

    public function ready(Request $request, Rubric $rubric, MakeRubricReady $ready): RedirectResponse
    {
        $this->authorize('edit', $rubric);
        try {
            $faults = $rubric->draft()->faults();
            if ($faults !== []) {
                throw new InvalidInput($faults);
            }
            $version = $ready($rubric, $request->integer('seen'), $this->person($request));
        } catch (InvalidInput $e) {
            return back()->withErrors(
                ['ready' => array_map(fn (Fault $fault) => self::inWords($fault, $rubric->draft()), $e->faults)]
            );
        }

        return redirect()->route('rubrics.show', $rubric)
            ->with('said', "Version {$version->number} is ready. It can be used in assignments and no longer changes.");
    }

    public function state(Request $request, Rubric $rubric, ChangeRubricState $change): RedirectResponse
    {
        $this->authorize('edit', $rubric);
        $change($rubric, $request->input('state') === 'retired' ? RubricState::Retired : RubricState::WorkingCopy);

        return redirect()->route('rubrics.show', $rubric);
    }

    /** A fault's place as the person sees it: the criterion's or level's title in place of its index. */
    public static function inWords(Fault $fault, Draft $draft): string
    {
        $place = preg_replace_callback('/\A(criteria|levels)\[(\d+)\]\.?(.*)\z/', function (array $m) use ($draft): string {
            $row = ($m[1] === 'criteria' ? $draft->criteria() : $draft->levels())[(int) $m[2]] ?? [];
            $title = is_string($row['title'] ?? null) && trim($row['title']) !== ''
                ? '“'.mb_strimwidth(trim($row['title']), 0, 60, '…').'”'
                : 'number '.((int) $m[2] + 1);
            $rest = preg_replace_callback(
                '/(levels|items)\[(\d+)\]\.?/',
                fn (array $n) => ($n[1] === 'levels' ? 'level ' : 'step ').((int) $n[2] + 1).' ', $m[3],
            );

            return ($m[1] === 'criteria' ? 'Criterion ' : 'Level ').$title
                .($rest === '' ? '' : ', '.trim((string) $rest));
        }, $fault->place);

        return $place === 'criteria' || $place === '' ? ucfirst($fault->what) : "{$place}: {$fault->what}";
    }

    /** Everything that decides which fields the sheet has; when it differs the sheet has to be drawn again. */
    public static function shape(Draft $draft): string
    {
        $places = array_filter(
            $draft->fields(),
            fn (string $value, string $place) => preg_match('/\.(kind|unused\.[^.]+)\z|\Aweighting\z/', $place) === 1
                && $value !== '',
            ARRAY_FILTER_USE_BOTH,
        );

        return hash('xxh128', implode("\n", array_keys($draft->fields())).json_encode($places, JSON_THROW_ON_ERROR));
    }

    /**
     * @return list<array{place: string, was: string, to: string}>
     */
    private function changes(Request $request): array
    {
        $changes = [];
        $sent = json_decode($request->string('changes')->toString(), true);
        foreach (is_array($sent) ? $sent : [] as $change) {
            if (
                is_array($change) && is_string($change['place'] ?? null) && is_string($change['was'] ?? null)
                && is_string($change['to'] ?? null)
            ) {
                $changes[] = [
                    'place' => $change['place'], 'was' => DecimalComma::in($change['place'], $change['was']),
                    'to' => DecimalComma::in($change['place'], $change['to']),
                ];
            }
        }
        if (! is_array($sent) || count($changes) !== count($sent)) {
            throw new Refused(
                'What you sent was cut off on its way, so nothing was saved and your words are still in the page. Try again.'
            );
        }

        return $changes;
    }

    /**
     * @param  list<array{place: string, was: string, to: string}>  $changes
     * @return array{Rubric, list<array{place: string, was: string, to: string}>}
     */
    private function saveChanges(Rubric $rubric, User $person, array $changes, EditRubric $edit): array
    {
        if ($changes === []) {
            return [$rubric, []];
        }
        $clashes = [];
        $place = count($changes) === 1 ? $changes[0]['place'] : null;
        $what = $place === null
            ? 'wrote in '.count($changes).' places'
            : 'wrote in '.PlaceName::of($rubric->draft(), $place);
        $saved = $edit($rubric, $person, function (Draft $draft) use ($changes, &$clashes): Draft {
            [$merged, $clashes] = $draft->merge($changes);

            return $merged;
        }, $what, $place);

        return [$saved, $clashes];
    }

    /**
     * Someone wrote in the same field meanwhile. Everything else was saved; what was typed stays in the page.
     *
     * @param  Rubric  $before  as it stood before what could be saved was saved
     * @param  list<array{place: string, was: string, to: string}>  $clashes
     */
    private function clash(Request $request, Rubric $before, Rubric $saved, array $clashes): Response
    {
        $draft = $saved->draft();
        $rows = array_map(
            fn (array $clash) => [
                'place' => $clash['place'], 'where' => PlaceName::of($draft, $clash['place']), 'mine' => $clash['to'],
                'theirs' => $draft->get($clash['place']),
            ],
            $clashes,
        );

        return response()->view(
            'plan.rubric-clash',
            [
                'rows' => $rows,
                'who' => $before->saved_by === $this->person($request)->id
                    ? 'You, in another tab,'
                    : $before->savedBy->name,
                'at' => LocalTime::time($before->updated_at),
            ],
            409,
        )
            ->withHeaders(['HX-Retarget' => '#clashes', 'HX-Reswap' => 'innerHTML']);
    }

    /** Without a page script: the whole sheet was sent, and someone saved since it was opened. */
    private function conflict(Request $request, SavedMeanwhile $e): Response
    {
        $mine = Draft::of($e->mine);
        $rows = [];
        foreach ($mine->differences($e->theirs->draft()) as $place => [$yours, $theirs]) {
            $rows[] = [PlaceName::of($mine, $place), $yours, $theirs];
        }
        $data = [
            'message' => $e->theirs->saved_by === $this->person($request)->id
                ? 'You saved this rubric in another tab meanwhile.'
                : $e->getMessage(),
            'rubric' => $e->theirs, 'at' => LocalTime::time($e->theirs->updated_at), 'differences' => $rows,
        ];

        return response()->view(
            'plan.rubric', $this->data($request, $e->theirs, $mine) + ['conflict' => $data, 'others' => []], 409,
        );
    }

    /**
     * @return array<string, mixed>
     */
    private function data(Request $request, Rubric $rubric, Draft $draft): array
    {
        $cells = $request->string('cells')->toString();
        $person = $this->person($request);
        $around = $rubric->steps()->whereIn('number', [$rubric->step, $rubric->step + 1, $rubric->step - 1])
            ->with('user:id,name')->get(['id', 'rubric_id', 'number', 'what', 'user_id'])->keyBy('number');
        $said = fn (int $number): ?string => isset($around[$number])
            ? $around[$number]->what.(
                $around[$number]->user_id === $person->id ? '' : ', '.$around[$number]->user?->name
            )
            : null;

        return [
            'rubric' => $rubric->load('latestVersion', 'module'), 'draft' => $draft,
            'editable' => $rubric->state === RubricState::WorkingCopy && $person->can('edit', $rubric),
            'cells' => array_key_exists($cells, self::CELLS) ? $cells : 'descriptors',
            'counts' => $draft->weighting() === Weighting::Points ? PointsCount::of($draft) : [],
            'undo' => isset($around[$rubric->step - 1]) ? $said($rubric->step) : null,
            'redo' => $said($rubric->step + 1),
        ];
    }
}

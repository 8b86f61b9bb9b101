<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Plan\ChangeRubricState;
use App\Actions\Plan\MakeRubricReady;
use App\Actions\Plan\SaveRubric;
use App\Enums\Role;
use App\Enums\RubricState;
use App\Exceptions\Refused;
use App\Exceptions\SavedMeanwhile;
use App\Http\Controllers\Controller;
use App\Models\Membership;
use App\Models\Module;
use App\Models\Rubric;
use App\Support\Clock;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\Draft;

/**
 * Rubrics: the list, the rubric sheet, and the steps of a rubric's life.
 */
final class RubricController extends Controller
{
    public function index(Request $request): View
    {
        $this->authorize('viewAny', Rubric::class);
        $person = $this->person($request);
        $staffOf = $person->memberships->filter(fn (Membership $m) => $m->role !== Role::Student);

        return view('plan.rubrics', [
            'rubrics' => Rubric::query()->with(['module', 'latestVersion'])->whereIn('module_id', $staffOf->pluck('module_id'))->orderBy('title')->get(),
            'modules' => Module::query()->whereIn('id', $staffOf->filter(fn (Membership $m) => $m->role === Role::Coordinator)->pluck('module_id'))->orderBy('code')->get(),
        ]);
    }

    public function store(Request $request, Module $module): RedirectResponse
    {
        $this->authorize('coordinate', $module);
        $fields = $request->validate(['title' => ['required', 'string', 'max:200']]);
        $rubric = Rubric::query()->create([
            'module_id' => $module->id, 'title' => $fields['title'], 'saved_by' => $this->person($request)->id,
            'document' => Draft::blank($fields['title'])->document,
        ]);

        return redirect()->route('rubrics.show', $rubric);
    }

    public function copy(Request $request, Rubric $rubric): RedirectResponse
    {
        $this->authorize('edit', $rubric);
        $title = mb_substr($rubric->title, 0, 190).' (copy)';
        $copy = Rubric::query()->create([
            'module_id' => $rubric->module_id, 'title' => $title, 'saved_by' => $this->person($request)->id,
            'document' => ['title' => $title] + $rubric->document,
        ]);

        return redirect()->route('rubrics.show', $copy)->with('said', 'This is a copy; the rubric it was made from stays as it is.');
    }

    public function show(Request $request, Rubric $rubric): View
    {
        $this->authorize('view', $rubric);

        return $this->sheet($rubric, Draft::of($rubric->document), $request->user()?->can('edit', $rubric) === true && $rubric->state === RubricState::WorkingCopy);
    }

    /**
     * Saves what was typed and does what was asked with it (add, move, spread). A page script sends only what is
     * needed back; without one the whole page comes again.
     */
    public function update(Request $request, Rubric $rubric, SaveRubric $save): View|RedirectResponse|Response
    {
        $this->authorize('edit', $rubric);
        if ($request->input('whole') !== '1') {
            throw new Refused('What you sent was cut off on its way, so nothing was saved and your words are still in the page. Try again.');
        }
        $draft = Draft::of($rubric->document)->withForm($request->only(['title', 'levels', 'criteria']));
        $do = $request->string('do')->toString();
        $draft = $this->done($draft, $do);
        try {
            $saved = $save($rubric, $draft->document, $request->integer('seen'), $this->person($request));
        } catch (SavedMeanwhile $e) {
            return $this->conflict($request, $e);
        }
        if ($request->header('HX-Request') === null) {
            return redirect()->route('rubrics.show', $saved);
        }

        // Typing gets back the weight bar; what changes the shape gets back the whole sheet.
        return $do === ''
            ? view('plan.rubric-side', ['rubric' => $saved, 'draft' => $draft, 'fresh' => true])
            : response()->view('plan.rubric-sheet', ['rubric' => $saved, 'draft' => $draft])->withHeaders(['HX-Retarget' => '#sheet', 'HX-Reswap' => 'outerHTML']);
    }

    public function ready(Request $request, Rubric $rubric, MakeRubricReady $ready): RedirectResponse
    {
        $this->authorize('edit', $rubric);
        try {
            $faults = Draft::of($rubric->document)->faults();
            if ($faults !== []) {
                throw new InvalidInput($faults);
            }
            $version = $ready($rubric, $request->integer('seen'), $this->person($request));
        } catch (InvalidInput $e) {
            return back()->withErrors(['ready' => array_map(fn (Fault $fault) => self::inWords($fault, Draft::of($rubric->document)), $e->faults)]);
        }

        return redirect()->route('rubrics.show', $rubric)->with('said', "Version {$version->number} is ready. It can be used in assignments and no longer changes.");
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
            $title = is_string($row['title'] ?? null) && trim($row['title']) !== '' ? '“'.trim($row['title']).'”' : 'number '.((int) $m[2] + 1);

            return ($m[1] === 'criteria' ? 'Criterion ' : 'Level ').$title.($m[3] === '' ? '' : ', '.$m[3]);
        }, $fault->place);

        return $place === 'criteria' || $place === '' ? ucfirst($fault->what) : "{$place}: {$fault->what}";
    }

    private function done(Draft $draft, string $do): Draft
    {
        [$what, $id, $other] = array_pad(explode(':', $do), 3, '');

        return match ($what) {
            'add-criterion' => $draft->addCriterion(),
            'duplicate-criterion' => $draft->duplicateCriterion($id),
            'remove-criterion' => $draft->removeCriterion($id),
            'criterion-up' => $draft->moveCriterion($id, -1),
            'criterion-down' => $draft->moveCriterion($id, 1),
            'add-level' => $draft->addLevel(),
            'remove-level' => $draft->removeLevel($id),
            'level-left' => $draft->moveLevel($id, -1),
            'level-right' => $draft->moveLevel($id, 1),
            'toggle-cell' => $draft->toggleCell($id, $other),
            'spread' => $draft->spreadWeights(),
            default => $draft,
        };
    }

    /** Someone saved meanwhile: what was typed stays in the page, beside what differs. */
    private function conflict(Request $request, SavedMeanwhile $e): Response
    {
        $mine = Draft::of($e->mine);
        $data = [
            'message' => $e->theirs->saved_by === $this->person($request)->id ? 'You saved this rubric in another tab meanwhile.' : $e->getMessage(),
            'rubric' => $e->theirs, 'at' => Clock::time($e->theirs->updated_at),
            'differences' => $this->placesInWords($mine->differences(Draft::of($e->theirs->document)), $mine),
        ];
        if ($request->header('HX-Request') !== null) {
            return response()->view('plan.rubric-conflict', $data, 409)->header('HX-Retarget', '#messages')->header('HX-Reswap', 'innerHTML');
        }

        return response()->view('plan.rubric', $this->data($e->theirs, $mine, true) + ['conflict' => $data], 409);
    }

    /**
     * @param  array<string, array{string, string}>  $differences
     * @return list<array{string, string, string}> where, yours, theirs
     */
    private function placesInWords(array $differences, Draft $mine): array
    {
        $numbers = ['criteria' => array_column($mine->criteria(), 'id'), 'levels' => array_column($mine->levels(), 'id')];
        $name = function (string $list, string $id) use ($numbers): string {
            $at = array_search($id, $numbers[$list], true);

            return ($list === 'criteria' ? 'Criterion ' : 'Level ').($at === false ? 'that is not in yours' : $at + 1);
        };
        $rows = [];
        foreach ($differences as $place => [$yours, $theirs]) {
            $parts = explode('.', $place);
            $words = match (true) {
                in_array($parts[0], ['criteria', 'levels'], true) && isset($parts[2]) => $name($parts[0], $parts[1]).', '.rtrim($parts[2], 's').(isset($parts[3]) ? ' at '.lcfirst($name('levels', $parts[3])) : ''),
                default => ucfirst($parts[0]),
            };
            $rows[] = [$words, $yours, $theirs];
        }

        return $rows;
    }

    private function sheet(Rubric $rubric, Draft $draft, bool $editable): View
    {
        return view('plan.rubric', $this->data($rubric, $draft, $editable));
    }

    /**
     * @return array<string, mixed>
     */
    private function data(Rubric $rubric, Draft $draft, bool $editable): array
    {
        return ['rubric' => $rubric->load('latestVersion', 'module'), 'draft' => $draft, 'editable' => $editable];
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Plan\AddRubric;
use App\Http\Controllers\Controller;
use App\Models\Module;
use App\Models\Rubric;
use App\Models\User;
use App\Support\RubricLibrary;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use YoungHarbor\Core\Formats\RubricFile;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\Draft;

/**
 * The library: found, copied, brought in from a file.
 */
final class LibraryController extends Controller
{
    private const SHOWN_FAULTS = 25;

    public function index(Request $request, RubricLibrary $library): View
    {
        $this->authorize('viewAny', Rubric::class);
        $person = $this->person($request);
        $wanted = [
            'q' => $request->string('q')->limit(200, '')->toString(), 'kind' => $request->string('kind')->toString(),
            'shelf' => $request->string('shelf')->toString(), 'state' => $request->string('state')->toString(),
            'least' => $request->integer('least') ?: null, 'most' => $request->integer('most') ?: null,
        ];

        return view('plan.rubrics', [
            'rubrics' => $library->find($person, $wanted), 'wanted' => $wanted,
            'plans' => $person->can('create', Rubric::class),
            'shelves' => RubricLibrary::shelves($person), 'for' => $request->string('for')->toString(),
            'modules' => Module::query()->whereIn('id', $person->memberships->pluck('module_id'))->orderBy('code')
                ->get(),
        ]);
    }

    public function store(Request $request, AddRubric $add): RedirectResponse
    {
        $this->authorize('create', Rubric::class);
        $fields = $request->validate(
            ['title' => ['required', 'string', 'max:200'], 'as' => ['nullable', 'in:levels,holistic']]
        );
        $draft = ($fields['as'] ?? 'levels') === 'holistic'
            ? Draft::holistic($fields['title'])
            : Draft::blank($fields['title']);
        $rubric = $this->shelve(
            $request,
            fn (?Module $module, bool $institution, User $person) => $add($draft, $person, $module, '', $institution),
        );

        return redirect()->route('rubrics.show', $rubric);
    }

    public function copy(Request $request, Rubric $rubric, AddRubric $add): RedirectResponse
    {
        $this->authorize('copy', $rubric);
        $version = $rubric->latestVersion?->number;
        $from = "copied from “{$rubric->title}”".($version === null ? '' : ", version {$version}").', '
            .$rubric->place();
        $copy = $this->shelve(
            $request,
            fn (?Module $module, bool $institution, User $person) => $add(
                $rubric->draft()->set('title', mb_substr($rubric->title, 0, 190).' (copy)'), $person, $module, $from,
                $institution,
            ),
        );

        return redirect()->route('rubrics.show', $copy)
            ->with('said', 'This is a copy; the rubric it was made from stays as it is.');
    }

    /** All rubrics of a file or none: a fault anywhere is listed by its place and nothing is taken. */
    public function import(Request $request, AddRubric $add): RedirectResponse
    {
        $this->authorize('create', Rubric::class);
        $request->validate(
            ['file' => ['required', 'file', 'max:20480']],
            [
                'file.required' => 'Choose a file.',
                'file.max' => 'The file is larger than 20 MB; a rubric is far smaller. Nothing was taken from it.',
            ],
        );
        $file = $request->file('file');
        assert($file instanceof UploadedFile);
        $name = mb_substr($file->getClientOriginalName(), 0, 120);
        try {
            $drafts = RubricFile::read((string) $file->get(), $name);
        } catch (InvalidInput $e) {
            $faults = array_map(strval(...), array_slice($e->faults, 0, self::SHOWN_FAULTS));
            $more = count($e->faults) - count($faults);

            return back()->withInput($request->except('file'))
                ->withErrors(
                    [
                        'file' => [
                            "Nothing was taken from {$name}. Mend these and choose it again:", ...$faults,
                            ...($more > 0 ? ["and {$more} more"] : []),
                        ],
                    ]
                );
        }
        $made = $this->shelve(
            $request,
            fn (?Module $module, bool $institution, User $person) => DB::transaction(
                fn () => array_map(
                    fn ($draft) => $add($draft, $person, $module, "imported from {$name}", $institution), $drafts,
                )
            ),
        );
        $said = count($made) === 1
            ? 'The rubric is in the library as a working copy.'
            : count($made).' rubrics are in the library as working copies.';

        return (
            count($made) === 1 ? redirect()->route('rubrics.show', $made[0]) : redirect()->route('rubrics.index')
        )->with('said', $said);
    }

    /**
     * @template T
     *
     * @param  callable(Module|null, bool, User): T  $put
     * @return T
     */
    private function shelve(Request $request, callable $put): mixed
    {
        $person = $this->person($request);
        $to = $request->validate(['to' => ['required', Rule::in(array_keys(RubricLibrary::shelves($person)))]])['to'];
        $module = in_array($to, ['own', 'institution'], true) ? null : Module::query()->where('public_id', $to)->sole();

        return $put($module, $to === 'institution', $person);
    }
}

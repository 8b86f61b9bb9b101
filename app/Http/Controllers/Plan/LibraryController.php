<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Plan\AddRubric;
use App\Actions\Plan\ImportRubrics;
use App\Http\Controllers\Controller;
use App\Http\Requests\Plan\AddRubricRequest;
use App\Http\Requests\Plan\CopyRubricRequest;
use App\Http\Requests\Plan\ImportRubricRequest;
use App\Models\Module;
use App\Models\Rubric;
use App\Queries\Plan\RubricLibrary;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
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

    public function store(AddRubricRequest $request, AddRubric $add): RedirectResponse
    {
        $fields = $request->validated();
        $draft = ($fields['as'] ?? 'levels') === 'holistic'
            ? Draft::holistic($fields['title'])
            : Draft::blank($fields['title']);
        $rubric = $add($draft, $request->person(), $request->module(), '', $request->isForInstitution());

        return redirect()->route('rubrics.show', $rubric);
    }

    public function copy(CopyRubricRequest $request, Rubric $rubric, AddRubric $add): RedirectResponse
    {
        $version = $rubric->latestVersion?->number;
        $from = "copied from “{$rubric->title}”".($version === null ? '' : ", version {$version}").', '
            .$rubric->place();
        $copy = $add(
            $rubric->draft()->set('title', mb_substr($rubric->title, 0, 190).' (copy)'), $request->person(),
            $request->module(), $from, $request->isForInstitution(),
        );

        return redirect()->route('rubrics.show', $copy)
            ->with('said', 'This is a copy; the rubric it was made from stays as it is.');
    }

    /** All rubrics of a file or none: a fault anywhere is listed by its place and nothing is taken. */
    public function import(ImportRubricRequest $request, ImportRubrics $import): RedirectResponse
    {
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
        $made = $import($drafts, $request->person(), $request->module(), $name, $request->isForInstitution());
        $said = count($made) === 1
            ? 'The rubric is in the library as a working copy.'
            : count($made).' rubrics are in the library as working copies.';

        return (
            count($made) === 1 ? redirect()->route('rubrics.show', $made[0]) : redirect()->route('rubrics.index')
        )->with('said', $said);
    }
}

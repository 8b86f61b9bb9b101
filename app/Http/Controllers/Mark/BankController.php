<?php

declare(strict_types=1);

namespace App\Http\Controllers\Mark;

use App\Actions\Mark\KeepBankComment;
use App\Exceptions\Refused;
use App\Http\Controllers\Controller;
use App\Models\BankComment;
use App\Models\BankSet;
use App\Models\Membership;
use App\Models\Module;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use YoungHarbor\Core\Formats\BankFile;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Text\CommentKind;

/**
 * The comment bank: sets of a module, shared by its team, and a person's own.
 */
final class BankController extends Controller
{
    public function index(Request $request): View
    {
        $this->authorize('viewAny', BankSet::class);
        $person = $this->person($request);
        $sets = BankSet::of($person)
            ->with(
                [
                    'module:id,code,title', 'comments' => fn ($query) => $query->orderByDesc('used')->orderBy('label'),
                    'deletedComments',
                ]
            )
            ->orderByRaw('module_id IS NULL')->orderBy('title')->get();

        return view('mark.bank', ['sets' => $sets, 'modules' => $this->modules($request)]);
    }

    public function make(Request $request, KeepBankComment $keep): RedirectResponse
    {
        $this->authorize('viewAny', BankSet::class);
        $modules = $this->modules($request)->keyBy('public_id');
        $fields = $request->validate(
            ['title' => ['required', 'string', 'max:120'], 'module' => ['nullable', Rule::in($modules->keys())]],
            ['title.required' => 'Give the set a name.'],
        );
        $keep->make(
            isset($fields['module']) ? $modules[$fields['module']] : null, trim($fields['title']),
            $this->person($request),
        );

        return redirect()->route('bank.index')
            ->with('said', 'The set is there. Add comments below it, or import a file.');
    }

    public function store(Request $request, KeepBankComment $keep): JsonResponse|RedirectResponse
    {
        $this->authorize('viewAny', BankSet::class);
        $fields = $request->validate(
            $this->rules() + ['set' => ['required', 'string'], 'module' => ['nullable', 'string']], $this->messages(),
        );
        $module = $this->modules($request)->firstWhere('public_id', $fields['module'] ?? '');
        $kept = $keep->keep($fields['set'], $module, $this->fields($fields), $this->person($request));
        if ($request->expectsJson()) {
            return response()->json(['entry' => $kept->load('set:id,title')->forDesk()]);
        }

        return redirect()->route('bank.index')->with('said', "“{$kept->label}” is in the bank.");
    }

    public function update(Request $request, BankComment $comment, KeepBankComment $keep): RedirectResponse
    {
        $this->authorize('edit', $comment->set);
        $fields = $request->validate($this->rules() + ['seen' => ['required', 'integer']], $this->messages());
        $keep->change($comment, $this->fields($fields), (int) $fields['seen'], $this->person($request));

        return redirect()->route('bank.index')
            ->with('said', 'Changed. What was written with it before stays as it is.');
    }

    public function restore(Request $request, string $comment, KeepBankComment $keep): RedirectResponse
    {
        $found = BankComment::onlyTrashed()->where('public_id', $comment)->firstOrFail();
        $this->authorize('edit', $found->set);
        $keep->bringBack($found, $this->person($request));

        return redirect()->route('bank.index')->with('said', "“{$found->label}” is in the bank again.");
    }

    public function destroy(Request $request, BankComment $comment, KeepBankComment $keep): RedirectResponse
    {
        $this->authorize('edit', $comment->set);
        $keep->delete($comment, $this->person($request));

        return redirect()->route('bank.index')
            ->with(
                'said',
                "“{$comment->label}” is deleted. What was written with it stays; for ".BankComment::KEPT_DAYS
                    .' days it can be brought back below its set.',
            );
    }

    /** Counts how often a comment is used. */
    public function used(BankComment $comment): Response
    {
        $this->authorize('edit', $comment->set);
        BankComment::query()->whereKey($comment->id)->increment('used');

        return response()->noContent();
    }

    public function export(BankSet $set, string $form): Response
    {
        $this->authorize('edit', $set);
        $comments = array_values(
            $set->comments()->orderBy('label')->get()
                ->map(
                    fn (BankComment $one) => [
                        'label' => $one->label, 'text' => $one->text, 'kind' => $one->kind->value,
                        'criterion' => $one->criterion,
                    ]
                )
                ->all()
        );

        return response($form === 'csv' ? BankFile::csv($comments) : BankFile::json($set->title, $comments), 200, [
            'Content-Type' => $form === 'csv' ? 'text/csv; charset=UTF-8' : 'application/json',
            'Content-Disposition' => 'attachment; filename="'.(Str::slug($set->title) ?: 'comments').".{$form}\"",
        ]);
    }

    public function import(Request $request, BankSet $set, KeepBankComment $keep): RedirectResponse
    {
        $this->authorize('edit', $set);
        $request->validate(
            ['file' => ['required', 'file', 'max:2048']],
            [
                'file.required' => 'Choose a file.', 'file.max' => 'The file is larger than 2 MB.',
                'file.uploaded' => 'The file did not arrive whole. Choose it again.',
            ],
        );
        try {
            $comments = BankFile::read((string) $request->file('file')?->get());
        } catch (InvalidInput $e) {
            throw new Refused(
                'Nothing was added. '.implode(
                    '; ', array_map(fn (Fault $fault) => ucfirst((string) $fault), array_slice($e->faults, 0, 8)),
                ).(count($e->faults) > 8 ? ' …' : '').'.',
                'file',
            );
        }
        $added = count($keep->into($set, $comments, $this->person($request)));
        $same = count($comments) - $added;

        return redirect()->route('bank.index')
            ->with('said', "{$added} added".($same > 0 ? ", {$same} were there already" : '').'.');
    }

    /**
     * @return array<string, mixed>
     */
    private function rules(): array
    {
        return [
            'label' => ['required', 'string', 'max:80'], 'text' => ['required', 'string', 'max:'.BankFile::LONGEST],
            'kind' => ['nullable', Rule::enum(CommentKind::class)], 'criterion' => ['nullable', 'string', 'max:200'],
        ];
    }

    /**
     * @return array<string, string>
     */
    private function messages(): array
    {
        return [
            'label.required' => 'Give it a short label.', 'label.max' => 'A label has 80 characters at most.',
            'text.required' => 'Write the comment.',
            'text.max' => 'A comment of the bank has '.number_format(BankFile::LONGEST).' characters at most.',
        ];
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return array{label: string, text: string, kind: string, criterion: string}
     */
    private function fields(array $fields): array
    {
        return [
            'label' => trim($fields['label']), 'text' => trim(str_replace("\r\n", "\n", $fields['text'])),
            'kind' => $fields['kind'] ?? CommentKind::usual()->value, 'criterion' => trim($fields['criterion'] ?? ''),
        ];
    }

    /**
     * Modules in whose team the person is.
     *
     * @return Collection<int, Module>
     */
    private function modules(Request $request): Collection
    {
        return Module::query()
            ->whereKey(
                $this->person($request)
                    ->memberships->filter(
                        fn (Membership $member) => $member->left_at === null
                        && in_array($member->role->value, ['coordinator', 'tutor'], true)
                    )
                    ->pluck('module_id')
            )
            ->get();
    }
}

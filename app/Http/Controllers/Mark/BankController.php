<?php

declare(strict_types=1);

namespace App\Http\Controllers\Mark;

use App\Actions\Mark\AddToBankSet;
use App\Actions\Mark\BringBankCommentBack;
use App\Actions\Mark\ChangeBankComment;
use App\Actions\Mark\CountBankUse;
use App\Actions\Mark\DeleteBankComment;
use App\Actions\Mark\KeepBankComment;
use App\Actions\Mark\MakeBankSet;
use App\Exceptions\Refused;
use App\Http\Controllers\Controller;
use App\Http\Requests\Mark\BankCommentRequest;
use App\Http\Requests\Mark\BankSetRequest;
use App\Http\Requests\Mark\ImportCommentsRequest;
use App\Http\Requests\Mark\NewBankCommentRequest;
use App\Models\BankComment;
use App\Models\BankSet;
use App\Models\Module;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use YoungHarbor\Core\Formats\BankFile;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;

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

        return view('mark.bank', ['sets' => $sets, 'modules' => $this->person($request)->teamModules()]);
    }

    public function make(BankSetRequest $request, MakeBankSet $make): RedirectResponse
    {
        $make($request->module(), trim($request->validated('title')), $request->person());

        return redirect()->route('bank.index')
            ->with('said', 'The set is there. Add comments below it, or import a file.');
    }

    public function store(NewBankCommentRequest $request, KeepBankComment $keep): JsonResponse|RedirectResponse
    {
        $kept = $keep($request->validated('set'), $request->module(), $request->fields(), $request->person());
        if ($request->expectsJson()) {
            return response()->json(['entry' => $kept->load('set:id,title')->forDesk()]);
        }

        return redirect()->route('bank.index')->with('said', "“{$kept->label}” is in the bank.");
    }

    public function update(
        BankCommentRequest $request, BankComment $comment, ChangeBankComment $change,
    ): RedirectResponse {
        $change($comment, $request->fields(), (int) $request->validated('seen'), $request->person());

        return redirect()->route('bank.index')
            ->with('said', 'Changed. What was written with it before stays as it is.');
    }

    public function restore(Request $request, string $comment, BringBankCommentBack $bringBack): RedirectResponse
    {
        $found = BankComment::onlyTrashed()->where('public_id', $comment)->firstOrFail();
        $this->authorize('edit', $found->set);
        $bringBack($found, $this->person($request));

        return redirect()->route('bank.index')->with('said', "“{$found->label}” is in the bank again.");
    }

    public function destroy(Request $request, BankComment $comment, DeleteBankComment $delete): RedirectResponse
    {
        $this->authorize('edit', $comment->set);
        $delete($comment, $this->person($request));

        return redirect()->route('bank.index')
            ->with(
                'said',
                "“{$comment->label}” is deleted. What was written with it stays; for ".BankComment::KEPT_DAYS
                    .' days it can be brought back below its set.',
            );
    }

    /** Counts how often a comment is used. */
    public function used(BankComment $comment, CountBankUse $count): Response
    {
        $this->authorize('edit', $comment->set);
        $count($comment);

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

    public function import(ImportCommentsRequest $request, BankSet $set, AddToBankSet $add): RedirectResponse
    {
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
        $added = count($add($set, $comments, $this->person($request)));
        $same = count($comments) - $added;

        return redirect()->route('bank.index')
            ->with('said', "{$added} added".($same > 0 ? ", {$same} were there already" : '').'.');
    }
}

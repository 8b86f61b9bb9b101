<?php

declare(strict_types=1);

namespace App\Http\Controllers\Release;

use App\Actions\Release\ConfirmBoardSheet;
use App\Actions\Release\DrawCandidateNumbers;
use App\Documents\BoardSheetFile;
use App\Http\Controllers\Controller;
use App\Http\Requests\Release\ConfirmBoardRequest;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\BoardSheet;
use App\Models\Module;
use App\Release\BoardSheet as Sheet;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/**
 * A module's results for a board of examiners, as they are now and as boards confirmed them.
 */
final class BoardController extends Controller
{
    public function show(Module $module, Sheet $sheet): View
    {
        $this->authorize('viewBoardSheet', $module);

        return view('release.board', [
            'module' => $module, 'sheet' => $sheet->of($module), 'kept' => null,
            'earlier' => BoardSheet::query()->where('module_id', $module->id)->with('confirmer')->latest('id')
                ->get(['id', 'public_id', 'confirmed_by', 'results_confirmed', 'digest', 'created_at', 'note']),
        ]);
    }

    public function kept(BoardSheet $board): View
    {
        $this->authorize('viewBoardSheet', $board->module);

        return view('release.board', [
            'module' => $board->module, 'sheet' => $board->sheet, 'kept' => $board, 'earlier' => collect(),
        ]);
    }

    public function confirm(ConfirmBoardRequest $request, Module $module, ConfirmBoardSheet $confirm): RedirectResponse
    {
        $board = $confirm(
            $module, $request->string('seen')->toString(), $request->string('note')->trim()->toString(), $request->person(),
        );

        return redirect()->route('board.show', $module)->with('said', trans_choice(
            'board.said', $board->results_confirmed, ['count' => $board->results_confirmed],
        ));
    }

    public function draw(Request $request, Module $module, DrawCandidateNumbers $draw): RedirectResponse
    {
        $this->authorize('coordinate', $module);
        $count = $draw($module, $this->person($request));

        return redirect()->route('board.show', $module)
            ->with('said', trans_choice('board.drawn', $count, ['count' => $count]));
    }

    public function take(Module $module, string $form, Sheet $sheet, BoardSheetFile $file, Logbook $logbook): Response
    {
        $this->authorize('viewBoardSheet', $module);
        $logbook->note(Entry::of(LogEvent::BoardSheetTaken)->on($module)->with(form: $form));

        return $this->file($file, $form, $sheet->of($module), null, $module);
    }

    public function takeKept(BoardSheet $board, string $form, BoardSheetFile $file, Logbook $logbook): Response
    {
        $this->authorize('viewBoardSheet', $board->module);
        $logbook->note(Entry::of(LogEvent::BoardSheetTaken)->on($board->module)->with(form: $form));

        return $this->file($file, $form, $board->sheet, $board, $board->module);
    }

    /**
     * @param  array<string, mixed>  $sheet
     */
    private function file(BoardSheetFile $file, string $form, array $sheet, ?BoardSheet $kept, Module $module): Response
    {
        $name = Str::slug($module->code)."-board-sheet.{$form}";

        return response($form === 'pdf' ? $file->pdf($sheet, $kept) : $file->csv($sheet), 200, [
            'Content-Type' => $form === 'pdf' ? 'application/pdf' : 'text/csv; charset=UTF-8',
            'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);
    }
}

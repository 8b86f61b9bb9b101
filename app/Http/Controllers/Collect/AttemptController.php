<?php

declare(strict_types=1);

namespace App\Http\Controllers\Collect;

use App\Actions\Collect\ChooseAttempt;
use App\Documents\Receipts;
use App\Http\Controllers\Controller;
use App\Models\Handin;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * One attempt, for its student: the receipt, the files as they came in, and letting it count.
 */
final class AttemptController extends Controller
{
    public function show(Request $request, Handin $handin): View
    {
        $this->authorize('view', $handin);

        return view(
            $request->header('HX-Request') === null ? 'collect.receipt' : 'collect.reading',
            [
                'handin' => $handin->load('files', 'script.assignment', 'script.currentHandin'),
                'assignment' => $handin->script->assignment,
            ],
        );
    }

    /** The receipt as a text, which `php artisan receipt:verify` reads. */
    public function text(Handin $handin, Receipts $receipts): Response
    {
        $this->authorize('view', $handin);

        return response(
            $receipts->text($handin), 200,
            [
                'Content-Type' => 'text/plain; charset=utf-8',
                'Content-Disposition' => 'attachment; filename="receipt.txt"',
            ],
        );
    }

    public function file(Handin $handin, int $number = 1): StreamedResponse
    {
        $this->authorize('view', $handin);
        $file = $handin->files->firstWhere('position', $number) ?? abort(404);
        abort_if($handin->isErased(), 410, __('keeping.text_let_go'));

        return Storage::download(
            $file->path, $file->link === null ? $file->original_name : 'link.txt',
            ['Content-Type' => 'application/octet-stream'],
        );
    }

    public function choose(Request $request, Handin $handin, ChooseAttempt $choose): RedirectResponse
    {
        $this->authorize('view', $handin);
        $choose($handin, $this->person($request));

        return redirect()->route('hand-in.show', $handin->script->assignment)
            ->with('said', "Attempt {$handin->attempt} counts now.");
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers\Mark;

use App\Actions\Mark\SyncDesk;
use App\Actions\Mark\TouchMark;
use App\Desk\DeskState;
use App\Http\Controllers\Controller;
use App\Http\Middleware\MendJson;
use App\Http\Requests\Mark\SyncRequest;
use App\Models\Mark;
use App\Wording\LocalTime;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * What the page of the desk and the server tell each other while someone marks.
 */
final class SyncController extends Controller
{
    public function update(
        SyncRequest $request, Mark $mark, SyncDesk $sync, TouchMark $touch, DeskState $state,
    ): JsonResponse {
        $fields = $request->validated();
        $touch($mark, $fields['place'] ?? null, (int) ($fields['active'] ?? 0));
        if ($fields['changes'] === []) {
            return response()->json(['outcomes' => (object) [], 'version' => $mark->refresh()->lock_version]);
        }
        // As it was sent: a space at the end of a sentence under way is part of it, and an empty text is no missing
        // one.
        $sent = MendJson::read($request)['changes'] ?? [];
        ['mark' => $saved, 'outcomes' => $outcomes] = $sync($mark, array_values(is_array($sent) ? $sent : []));

        return response()->json(
            [
                'outcomes' => $outcomes, 'version' => $saved->lock_version, 'saved' => LocalTime::time(now()),
                'total' => $state->total($saved),
            ]
        );
    }

    /** What stands on the server now, for a page that knows an older version; nothing when there is nothing new. */
    public function news(Request $request, Mark $mark, DeskState $state): JsonResponse|Response
    {
        $this->authorize('write', $mark);
        if ($request->integer('version') === $mark->lock_version) {
            return response()->noContent();
        }

        return response()->json([...$state->of($mark), 'total' => $state->total($mark)]);
    }

    /** For a page whose sign-in has ended: the token to go on with once its person is signed in again. */
    public function token(Request $request, Mark $mark): JsonResponse
    {
        $this->authorize('write', $mark);

        return response()->json(
            ['token' => $request->session()->token(), 'person' => $this->person($request)->public_id]
        );
    }
}

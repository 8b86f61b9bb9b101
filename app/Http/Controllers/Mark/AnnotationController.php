<?php

declare(strict_types=1);

namespace App\Http\Controllers\Mark;

use App\Documents\ScriptText;
use App\Http\Controllers\Controller;
use App\Models\Mark;
use App\Models\MarkComment;
use Illuminate\Http\JsonResponse;
use YoungHarbor\Core\Formats\WebAnnotations;

/**
 * The comments on a script, to take elsewhere, with the text they stand in.
 */
final class AnnotationController extends Controller
{
    public function __invoke(Mark $mark): JsonResponse
    {
        $this->authorize('open', $mark);
        $rubric = $mark->rubricVersion->toCore();
        $comments = MarkComment::query()->where('mark_id', $mark->id)->whereNull('gone_at')->orderBy('id')->get()
            ->map(fn (MarkComment $one) => [
                'id' => $one->public_id, 'body' => $one->body, 'kind' => $one->kind->value,
                'criterion' => $one->criterion === null ? null : $rubric->criterion($one->criterion)?->title(),
                'anchor' => $one->anchor,
                'created' => $one->created_at->toIso8601ZuluString(),
                'modified' => $one->updated_at->toIso8601ZuluString(),
            ]);

        return response()->json(WebAnnotations::of(
            'urn:uuid:'.$mark->handin->public_id, $mark->script->code, ScriptText::of($mark->handin),
            array_values($comments->all()),
        ), 200, [
            'Content-Type' => 'application/ld+json; profile="http://www.w3.org/ns/anno.jsonld"',
            'Content-Disposition' => "attachment; filename=\"{$mark->script->code}-comments.jsonld\"",
        ], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT);
    }
}

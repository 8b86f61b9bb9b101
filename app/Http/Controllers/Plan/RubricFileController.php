<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Documents\Pdf;
use App\Exceptions\Refused;
use App\Http\Controllers\Controller;
use App\Models\Rubric;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Ramsey\Uuid\Uuid;
use Symfony\Component\HttpFoundation\HeaderUtils;
use YoungHarbor\Core\Formats\CaseRubric;
use YoungHarbor\Core\Formats\RubricCsv;
use YoungHarbor\Core\Formats\RubricJson;
use YoungHarbor\Core\Rubric\Rubric as CoreRubric;

/**
 * A rubric as a file, in one of the forms it can be taken out in.
 */
final class RubricFileController extends Controller
{
    public function __invoke(Rubric $rubric, string $form, Pdf $pdf): Response
    {
        $this->authorize('view', $rubric);
        $draft = $rubric->draft();
        if (in_array($form, ['pdf', 'case'], true) && $draft->faults() !== []) {
            throw new Refused(
                'This rubric is not complete yet, so it cannot be '.($form === 'pdf' ? 'printed' : 'written as CASE')
                    .'. The sheet says what is to mend; our own JSON takes it as it is.'
            );
        }
        [$type, $ending, $content] = match ($form) {
            'case' => [
                'application/json', 'case.json',
                CaseRubric::write(
                    $draft, fn (string $path): string => Uuid::uuid5($rubric->public_id, $path)->toString(),
                    rtrim(url('/'), '/'), $rubric->updated_at->toIso8601ZuluString(),
                ),
            ],
            'csv' => ['text/csv; charset=utf-8', 'csv', RubricCsv::write($draft)],
            'pdf' => [
                'application/pdf', 'pdf',
                $pdf->of(
                    'plan.rubric-print', ['rubric' => $rubric, 'core' => CoreRubric::fromArray($rubric->document)],
                    landscape: true,
                ),
            ],
            default => ['application/json', 'json', RubricJson::write($draft)],
        };
        $name = Str::slug($rubric->title) ?: 'rubric';

        return response(
            $content, 200,
            [
                'Content-Type' => $type,
                'Content-Disposition' => HeaderUtils::makeDisposition('attachment', "{$name}.{$ending}"),
            ],
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Result;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Storage;

/**
 * A result as one PDF, with name, module and date on it: the same words and numbers as its page. Since a result never
 * changes, it is drawn once and kept; a confirmation draws it anew.
 */
final class ResultPdf
{
    public function __construct(private readonly TaggedPdf $tagged, private readonly Pdf $plain)
    {
    }

    /**
     * Where it is kept, before and after it was confirmed.
     *
     * @param  string  $result  its public id
     * @return array{string, string}
     */
    public static function paths(string $result): array
    {
        return ["results/{$result}.pdf", "results/{$result}-confirmed.pdf"];
    }

    public function of(Result $result): string
    {
        $path = self::paths($result->public_id)[$result->confirmed_at === null ? 0 : 1];

        // One at a time: a student who presses twice waits for the first.
        return Cache::lock("result-pdf:{$result->id}", 60)->block(45, function () use ($result, $path): string {
            if (Storage::exists($path)) {
                return (string) Storage::get($path);
            }
            $data = [
                'result' => $result, 'd' => $result->document, 'text' => ResultText::of($result->document),
                'assignment' => $result->script->assignment, 'student' => $result->script->student,
            ];
            $pdf = $this->tagged->ofHtml(view('release.result-pdf', $data + ['isTagged' => true])->render())
                ?? $this->plain->of('release.result-pdf', $data + ['isTagged' => false]);
            Storage::put($path, $pdf);

            return $pdf;
        });
    }
}

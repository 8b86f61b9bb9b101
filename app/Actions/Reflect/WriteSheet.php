<?php

declare(strict_types=1);

namespace App\Actions\Reflect;

use App\Models\ReflectionSheet;
use App\Models\SheetAnswer;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Text\Words;

/**
 * Keeps what a student wrote on a sheet, whole or not. It counts as done from when each answer has as many words as are
 * asked for, and no more when one has fewer again.
 */
final class WriteSheet
{
    /**
     * @param  list<string>  $texts  one for each prompt, in their order
     * @return list<int> for each prompt how many words are missing
     */
    public function __invoke(ReflectionSheet $sheet, array $texts, User $student): array
    {
        return DB::transaction(function () use ($sheet, $texts, $student): array {
            $stored = ReflectionSheet::query()->lockForUpdate()->findOrFail($sheet->id);
            $answers = $missing = [];
            $all = 0;
            foreach ($stored->settings->prompts as $n => $prompt) {
                $text = trim($texts[$n] ?? '');
                $words = Words::of($text)->count();
                $answers[] = ['prompt' => $prompt, 'text' => $text];
                $missing[] = max(0, max(1, $stored->settings->words) - $words);
                $all += $words;
            }
            $own = SheetAnswer::query()->firstOrNew(['sheet_id' => $stored->id, 'user_id' => $student->id]);
            $own->fill([
                'answers' => $answers, 'words' => $all,
                'done_at' => array_sum($missing) === 0 ? ($own->done_at ?? now()) : null,
            ])->save();

            return $missing;
        });
    }
}

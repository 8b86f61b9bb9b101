<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Exceptions\Refused;
use App\Models\Reflection;
use App\Models\Result;
use App\Models\Script;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Text\Words;

/**
 * A student writes about their feedback, or writes it anew until the date.
 */
final class WriteReflection
{
    /**
     * @param  list<string>  $texts  one for each prompt, in their order
     *
     * @throws Refused for too few words, after the date, or where none is asked for
     */
    public function __invoke(Result $result, array $texts): Reflection
    {
        $asked = $result->script->assignment->release->reflection;
        $asked->isAskedFor() || throw new Refused('No reflection is asked for here.', 'reflection.0');
        $result->reflectionUntil()->isFuture() || throw new Refused(
            'The time for it is over. What you wrote before stays as it is.', 'reflection.0',
        );
        $answers = [];
        $all = 0;
        foreach ($asked->prompts as $i => $prompt) {
            $text = trim($texts[$i] ?? '');
            $words = Words::of($text)->count();
            $words >= max(1, $asked->words) || throw new Refused(
                trans_choice('release.reflection_few', $words, ['count' => $words, 'least' => max(1, $asked->words)]),
                "reflection.{$i}",
            );
            $answers[] = ['prompt' => $prompt, 'text' => $text];
            $all += $words;
        }

        return DB::transaction(function () use ($result, $answers, $all): Reflection {
            Script::query()->lockForUpdate()->findOrFail($result->script_id);

            return Reflection::query()->updateOrCreate(
                ['script_id' => $result->script_id], ['answers' => $answers, 'words' => $all],
            );
        });
    }
}

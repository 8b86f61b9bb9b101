<?php

declare(strict_types=1);

namespace App\FirstFeedback;

use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\RequestException;
use Illuminate\Support\Facades\Http;
use YoungHarbor\Core\FirstFeedback\Answer;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * An assistant over HTTP (docs/formats.md). Two tries, each with a limit of time; answers of more than 256 KB are none.
 */
final class HttpAssistant implements Assistant
{
    private const LONGEST_ANSWER = 262_144;

    public function remarksOn(string $text, string $brief, ?int $limit, array $criteria): Answer
    {
        $address = (string) config('harbor.assistant.address');
        $address !== '' || throw new AssistantUnanswered((string) __('first-feedback.none_set_up'));
        try {
            $answer = Http::timeout((int) config('harbor.assistant.seconds'))->connectTimeout(3)->acceptJson()
                ->withOptions(['allow_redirects' => false])->retry(2, 500, throw: false)->post($address, [
                    'text' => $text, 'language' => 'en', 'brief' => $brief, 'limit' => $limit, 'criteria' => $criteria,
                ]);
        } catch (ConnectionException|RequestException) {
            throw new AssistantUnanswered((string) __('first-feedback.no_answer'));
        }
        if ($answer->status() === 422 && $answer->json('error') === 'language') {
            throw new AssistantUnanswered((string) __('first-feedback.other_language'));
        }
        $answer->successful() || throw new AssistantUnanswered(
            (string) __('first-feedback.error', ['status' => $answer->status()]),
        );
        strlen($answer->body()) <= self::LONGEST_ANSWER || throw new AssistantUnanswered(
            (string) __('first-feedback.refused', ['why' => 'is far too long']),
        );
        try {
            return Answer::read($answer->json(), $text, array_column($criteria, 'id'));
        } catch (InvalidInput $e) {
            throw new AssistantUnanswered((string) __('first-feedback.refused', ['why' => $e->faults[0]->what]));
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Screening\Detector;

use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\RequestException;
use Illuminate\Support\Facades\Http;

/**
 * A detector over HTTP: `POST ADDRESS {"text","language"}`, answered by JSON (docs/formats.md). Two tries, each with a
 * limit of time; answers of more than 64 KB are none.
 */
final class HttpDetector implements Detector
{
    private const LONGEST_ANSWER = 65_536;

    public function judge(string $text, string $language): DetectorAnswer
    {
        $address = (string) config('harbor.detector.address');
        if ($address === '') {
            throw new DetectorUnanswered('No detector is set up for this installation.');
        }
        try {
            $answer = Http::timeout((int) config('harbor.detector.seconds'))->connectTimeout(3)->acceptJson()
                ->withOptions(['allow_redirects' => false])
                ->retry(2, 500, throw: false)->post($address, ['text' => $text, 'language' => $language]);
        } catch (ConnectionException|RequestException) {
            throw new DetectorUnanswered('The detector did not answer in time.');
        }
        if (! $answer->successful()) {
            throw new DetectorUnanswered("The detector answered with an error ({$answer->status()}).");
        }
        if (strlen($answer->body()) > self::LONGEST_ANSWER) {
            throw new DetectorUnanswered('The detector’s answer is far too long.');
        }

        return DetectorAnswer::of($answer->json());
    }
}

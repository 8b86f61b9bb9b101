<?php

declare(strict_types=1);

namespace App\Screening\Web;

use App\Extraction\HtmlTree;
use App\Extraction\Refusal;
use GuzzleHttp\Psr7\UriResolver;
use GuzzleHttp\Psr7\Utils;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\RequestException;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Http;

/**
 * The open web over HTTP: a search service that is asked `GET …/search?q=words` and answers
 * `{"results":[{"url":"…"}]}`, and the pages it names.
 *
 * Addresses come from outside, so a page is fetched only from a public address (or from the search service's own host),
 * each redirect looked at like the first address, with limits on time and size; nothing of this network can be reached
 * through it.
 */
final class HttpWebSearch implements WebSearch
{
    private const RESULTS = 10;

    private const REDIRECTS = 3;

    public function __construct(private readonly HtmlTree $tree)
    {
    }

    public function search(string $phrase): array
    {
        $service = (string) config('harbor.web.search');
        if ($service === '') {
            throw new WebUnanswered('No search service is set up for this installation.');
        }
        try {
            $answer = Http::timeout((int) config('harbor.web.seconds'))->connectTimeout(3)->acceptJson()
                ->retry(2, 200, throw: false)->get($service, ['q' => $phrase]);
        } catch (ConnectionException|RequestException) {
            throw new WebUnanswered('The search service did not answer in time.');
        }
        if (! $answer->successful()) {
            throw new WebUnanswered("The search service answered with an error ({$answer->status()}).");
        }
        $results = $answer->json('results');
        if (! is_array($results)) {
            throw new WebUnanswered('The search service gave an answer that is no list of pages.');
        }
        $urls = array_map(
            fn (mixed $result) => is_array($result) && is_string($result['url'] ?? null) ? $result['url'] : '',
            array_slice(array_values($results), 0, self::RESULTS),
        );

        return array_values(
            array_unique(
                array_filter(
                    $urls, fn (string $url) => strlen($url) <= 500 && preg_match('~\Ahttps?://[^\s]+\z~i', $url) === 1,
                )
            )
        );
    }

    public function fetch(string $url): WebPage
    {
        $answer = $this->followed($url, self::REDIRECTS);
        $kind = strtolower(trim(explode(';', $answer->header('Content-Type'))[0]));
        if (! in_array($kind, ['text/html', 'application/xhtml+xml', 'text/plain', ''], true)) {
            throw new WebUnanswered("The page is {$kind}, not text.");
        }
        $body = $this->body($answer);
        if (! mb_check_encoding($body, 'UTF-8')) {
            $body = mb_convert_encoding($body, 'UTF-8', 'Windows-1252');
        }
        $text = $kind === 'text/plain' ? trim($body) : $this->words($body);
        if (preg_match('/\p{L}/u', $text) !== 1) {
            throw new WebUnanswered('The page holds no text.');
        }
        preg_match('~<title[^>]*>(.*?)</title>~is', $body, $title);

        return new WebPage(
            $url,
            mb_substr(
                trim(
                    (string) preg_replace(
                        '/\s+/u', ' ', html_entity_decode($title[1] ?? '', ENT_QUOTES | ENT_HTML5, 'UTF-8'),
                    )
                ),
                0, 300,
            ),
            $text,
        );
    }

    /** The words of a page, without its navigation. */
    private function words(string $body): string
    {
        try {
            return $this->tree->read(
                (string) preg_replace(
                    ['~<(script|style|nav|head)\b.*?</\1>~is', '~<!doctype[^>]*>|</?(html|body)\b[^>]*>~i'], '', $body,
                ),
                fn (): null => null,
            )->text();
        } catch (Refusal) {
            throw new WebUnanswered('The page could not be read.');
        }
    }

    private function followed(string $url, int $redirects): Response
    {
        try {
            $answer = Http::timeout((int) config('harbor.web.seconds'))->connectTimeout(3)
                ->withOptions(['allow_redirects' => false, 'stream' => true, ...$this->only($url)])->get($url);
        } catch (ConnectionException|RequestException) {
            throw new WebUnanswered('The page did not answer in time.');
        }
        if ($answer->redirect()) {
            $next = (string) UriResolver::resolve(Utils::uriFor($url), Utils::uriFor($answer->header('Location')));

            return $redirects > 0
                ? $this->followed($next, $redirects - 1)
                : throw new WebUnanswered('The page leads on and on to others.');
        }

        return $answer->successful()
            ? $answer
            : throw new WebUnanswered("The page answered with an error ({$answer->status()}).");
    }

    private function body(Response $answer): string
    {
        $stream = $answer->toPsrResponse()->getBody();
        $most = (int) config('harbor.web.kilobytes') * 1024;
        $body = '';
        while (! $stream->eof() && strlen($body) <= $most) {
            $body .= $stream->read(65536);
        }

        return strlen($body) <= $most ? $body : throw new WebUnanswered('The page is too large.');
    }

    /**
     * Ties a request to the public address its host has now, so that it cannot be led elsewhere between look and fetch.
     *
     * @return array<string, mixed>
     */
    private function only(string $url): array
    {
        $parts = parse_url($url);
        $service = parse_url((string) config('harbor.web.search'));
        $host = strtolower(is_array($parts) ? $parts['host'] ?? '' : '');
        $scheme = strtolower(is_array($parts) ? $parts['scheme'] ?? '' : '');
        $port = (is_array($parts) ? $parts['port'] ?? null : null) ?? ($scheme === 'https' ? 443 : 80);
        if (! in_array($scheme, ['http', 'https'], true) || $host === '' || isset($parts['user'])) {
            throw new WebUnanswered('The address is none that can be fetched.');
        }
        if (is_array($service) && $host === strtolower($service['host'] ?? '') && $port === ($service['port'] ?? 80)) {
            return [];
        }
        $name = trim($host, '[]');
        $address = PublicAddress::of($name)
            ?? throw new WebUnanswered('The address is not a public one, so it was not fetched.');

        return [
            'curl' => [
                CURLOPT_RESOLVE => ["{$name}:{$port}:".(str_contains($address, ':') ? "[{$address}]" : $address)],
            ],
        ];
    }
}

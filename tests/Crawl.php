<?php

declare(strict_types=1);

namespace Tests;

use App\Extraction\FileKind;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Tests\Feature\Collect\IdentityTest;
use ZipArchive;

/**
 * Follows every link, form and page script from an address on, and keeps what was sent, files unpacked.
 */
trait Crawl
{
    /** @var array<string, string> what was sent, by address */
    private array $sent = [];

    private int $downloads = 0;

    /**
     * @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $answer
     */
    private function whole(TestResponse $answer): string
    {
        return html_entity_decode($answer->baseResponse->headers."\n".$answer->getContent(), ENT_QUOTES | ENT_HTML5);
    }

    /**
     * What stands in a file that was sent, unpacked.
     *
     * @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $answer
     */
    private function downloaded(TestResponse $answer): string
    {
        if (! str_contains((string) $answer->headers->get('Content-Disposition'), 'filename')) {
            // Pictures in the page.
            preg_match_all('~src="data:image/[a-z]+;base64,([^"]+)"~', (string) $answer->getContent(), $pictures);

            return implode(
                "\n", array_map(fn (string $picture) => mb_scrub((string) base64_decode($picture)), $pictures[1]),
            );
        }
        $this->downloads++;
        $bytes = $answer->baseResponse instanceof StreamedResponse
            ? $answer->streamedContent()
            : (string) $answer->getContent();
        preg_match('/filename="?([^";]+)/', (string) $answer->headers->get('Content-Disposition'), $name);
        if (! str_ends_with($name[1], '.zip')) {
            return implode(
                "\n",
                IdentityTest::inside(
                    $bytes, FileKind::tryFrom(pathinfo($name[1], PATHINFO_EXTENSION)) ?? FileKind::Text,
                ),
            );
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'crawl');
        file_put_contents($path, $bytes);
        $zip = new ZipArchive;
        $zip->open($path);
        $all = '';
        for ($n = 0; $n < $zip->count(); $n++) {
            $entry = (string) $zip->getNameIndex($n);
            $kind = FileKind::tryFrom(pathinfo($entry, PATHINFO_EXTENSION)) ?? FileKind::Text;
            $all .= $entry."\n".implode("\n", IdentityTest::inside((string) $zip->getFromIndex($n), $kind));
        }

        return $all;
    }

    private function crawl(string $address): void
    {
        if (isset($this->sent[$address]) || count($this->sent) > 300) {
            return;
        }
        $answer = $this->get($address);
        $text = $address."\n".$this->whole($answer).$this->downloaded($answer);
        $this->sent[$address] = $text;
        if ($answer->isRedirection()) {
            $this->crawl((string) parse_url((string) $answer->headers->get('Location'), PHP_URL_PATH));

            return;
        }
        preg_match_all('/(?:href|hx-get)="([^"#]+)"/', (string) $answer->getContent(), $links);
        // What a page's scripts ask for.
        preg_match_all('~"url":"([^"]+)"~', (string) $answer->getContent(), $asked);
        foreach (array_unique([...$links[1], ...array_map(stripslashes(...), $asked[1])]) as $link) {
            $link = html_entity_decode($link);
            $path = (string) parse_url($link, PHP_URL_PATH);
            if (
                in_array(parse_url($link, PHP_URL_HOST), [null, 'localhost', '127.0.0.1'], true)
                && (! str_contains($path, '.') || str_ends_with($path, '.zip')) && $path !== '/sign-out'
            ) {
                $query = parse_url($link, PHP_URL_QUERY);
                $this->crawl($path.(is_string($query) ? "?{$query}" : ''));
            }
        }
    }
}

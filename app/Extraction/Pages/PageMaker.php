<?php

declare(strict_types=1);

namespace App\Extraction\Pages;

use App\Extraction\Child;
use App\Extraction\Refusal;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use YoungHarbor\Core\Names\Mask;
use YoungHarbor\Core\Names\PictureNames;
use YoungHarbor\Core\Names\RunningHeads;

/**
 * Draws the pages of a PDF anew, without the words that name its authors: found in the text of the page, and, on the
 * first two pages and on those without text, in what the page shows. Nothing else of the file is kept.
 */
final class PageMaker
{
    private const INCH = 72;

    /** Dots an inch, for pages up to the size of a large sheet. */
    private const RESOLUTION = 150;

    private const LONGEST_SIDE = 2600;

    /** Pages that are drawn at once: each takes 2 MB until its picture is made. */
    private const AT_ONCE = 10;

    /** Lines at head and foot that may name the author by one name alone. */
    private const FIRST = 8;

    private const LAST = 4;

    /** On a title page all lines may, as long as none is longer. */
    private const SHORT = 60;

    /** Pages that are always looked at, and how many at the most: each takes some four seconds. */
    private const LOOK_AT = 2;

    private const MOST_LOOKS = 40;

    /** A picture that takes so much of a square over the page's longer side may be a scan with words in it. */
    private const LARGE = 0.12;

    /** A page with so much ink and no words holds something. */
    private const SOMETHING = 0.004;

    public function __construct(
        private readonly Child $child,
        private readonly PageText $text,
        private readonly Sight $sight,
    ) {
    }

    /**
     * @param  string  $path  of a PDF
     * @param  string  $to  where the new one goes
     * @param  list<Mask>  $masks  of its authors
     * @param  bool  $lone  whether a family name that stands alone is covered too
     *
     * @throws Refusal when it has too many pages, or a limit is reached
     */
    public function make(string $path, string $to, array $masks, PictureNames $seen, bool $lone = false): PagesMade
    {
        $sizes = $this->sizes($path);
        $folder = sys_get_temp_dir().'/pages-'.Str::uuid()->toString();
        mkdir($folder, 0700);
        try {
            $book = new PageBook($this->child, $folder);
            $heads = $this->heads($path, count($sizes), $masks);
            $pictured = $masks === [] ? [] : $this->pictured($path, $sizes);
            $state = ['covered' => 0, 'seen' => 0, 'unread' => [], 'looks' => 0, 'all' => false];
            foreach ($this->runs($sizes) as [$from, $to_, $resolution]) {
                $lines = $this->text->of($path, $from, $to_);
                $drawn = $this->child->run(
                    [
                        'pdftoppm', '-q', '-gray', '-cropbox', '-r', (string) $resolution, '-f', (string) $from, '-l',
                        (string) $to_, '--', $path, "{$folder}/sheet",
                    ],
                    limitAddressSpace: true, reads: [$path], writes: $folder,
                );
                $sheets = glob("{$folder}/sheet-*.pgm") ?: [];
                sort($sheets, SORT_NATURAL);
                if ($drawn['exit'] !== 0 || count($sheets) !== $to_ - $from + 1) {
                    throw new Refusal("Page {$from} of this PDF, or one after it, could not be drawn.");
                }
                foreach ($sheets as $n => $sheet) {
                    $this->page(
                        $from + $n, count($sizes), $sheet, $lines[$n], $heads[$from + $n] ?? [],
                        isset($pictured[$from + $n]), $resolution / self::INCH, $masks, $seen, $lone, $book, $state,
                    );
                    unlink($sheet);
                }
            }
            $book->finish("{$folder}/whole.pdf");
            File::move("{$folder}/whole.pdf", $to);

            return new PagesMade(count($sizes), $state['covered'], $state['seen'], $state['unread']);
        } finally {
            File::deleteDirectory($folder);
        }
    }

    /**
     * @param  list<list<Box>>  $lines
     * @param  list<string>  $heads  running heads of this page that name somebody
     * @param  bool  $hasPicture  whether a picture on it may be a scan
     * @param  list<Mask>  $masks
     * @param  array{covered: int, seen: int, unread: list<int>, looks: int, all: bool}  $state
     */
    private function page(
        int $number, int $pages, string $path, array $lines, array $heads, bool $hasPicture, float $scale,
        array $masks, PictureNames $seen, bool $lone, PageBook $book, array &$state,
    ): void {
        $sheet = Sheet::from($path);
        [$gone, $words] = $this->inText($number, $pages, $lines, $heads, $masks, $lone);
        $inPicture = [];
        if ($masks !== [] && ($number <= self::LOOK_AT || $lines === [] || $hasPicture || $state['all'])) {
            $read = Sight::isThere() && $state['looks'] < self::MOST_LOOKS ? $this->sight->read($path, $scale) : null;
            $state['looks']++;
            $inPicture = $this->inPicture($read ?? [], array_merge(...$lines), $masks, $seen);
            // What only the picture of a first page shows may stand on all of them, in a font without letters.
            $state['all'] = $state['all'] || ($number <= self::LOOK_AT && $lines !== [] && $inPicture !== []);
            if (
                $lines === []
                && (
                    $read === null
                    || count(
                        array_filter(array_merge(...$read), fn (Box $box) => $box->sure && mb_strlen($box->word) > 1)
                    ) < 3
                )
                && $sheet->ink() > self::SOMETHING
            ) {
                $state['unread'][] = $number;
            }
        }
        foreach ([...$gone, ...$inPicture] as $box) {
            $sheet->cover($box, $scale);
        }
        $state['covered'] += count($gone) + count($inPicture);
        $state['seen'] += count($inPicture);
        $picture = (string) preg_replace('/\.pgm\z/', '.jpg', $path);
        file_put_contents($picture, $sheet->jpeg($this->child));
        $book->add($picture, round($sheet->width / $scale, 2), round($sheet->height / $scale, 2), $words);
    }

    /**
     * Names in the words of a page.
     *
     * @param  list<list<Box>>  $lines
     * @param  list<string>  $heads
     * @param  list<Mask>  $masks
     * @return array{list<Box>, list<Box>} those that name, and those that are left
     */
    private function inText(int $number, int $pages, array $lines, array $heads, array $masks, bool $lone): array
    {
        $text = $before = '';
        $boxes = $places = [];
        $isTitle = true;
        foreach ($lines as $n => $line) {
            $from = strlen($text);
            foreach ($line as $box) {
                $boxes[] = [$box, strlen($text), strlen($text) + strlen($box->word)];
                $text .= $box->word.' ';
            }
            $text[strlen($text) - 1] = "\n";
            $said = substr($text, $from, -1);
            $isTitle = $isTitle && strlen($said) <= self::SHORT;
            $isEdge = $n < 2 || $n >= count($lines) - 2 || ($number === 1 && ($n < self::FIRST || $isTitle))
                || ($number === $pages && $n >= count($lines) - self::LAST);
            if (in_array($said, $heads, true)) {
                $places[] = [$from, strlen($text)];
            }
            $label = Mask::isLabel($before) ? "{$before}: " : '';
            foreach ($isEdge || $label !== '' ? $masks : [] as $mask) {
                foreach ($mask->find($label.$said, true) as [$start, $end]) {
                    $start >= strlen($label)
                        && $places[] = [$from + $start - strlen($label), $from + $end - strlen($label)];
                }
            }
            $before = $said;
        }
        foreach ($masks as $mask) {
            array_push($places, ...$mask->find($text), ...($lone ? $mask->lone($text) : []));
        }
        $gone = $left = [];
        foreach ($boxes as [$box, $from, $to]) {
            array_filter($places, fn (array $place) => $place[0] < $to && $place[1] > $from) === []
                ? $left[] = $box
                : $gone[] = $box;
        }

        return [$gone, $left];
    }

    /**
     * Names in what a page shows, where its text does not say the same.
     *
     * @param  list<list<Box>>  $read
     * @param  list<Box>  $words  of the page's text
     * @param  list<Mask>  $masks
     * @return list<Box>
     */
    private function inPicture(array $read, array $words, array $masks, PictureNames $seen): array
    {
        $named = [];
        foreach ($read as $line) {
            $line = array_values(
                array_filter(
                    $line,
                    fn (Box $box) => array_filter(
                        $words, fn (Box $word) => $box->lies($word) && $this->sayTheSame($box->word, $word->word),
                    ) === [],
                )
            );
            array_push(
                $named,
                ...array_map(fn (int $n) => $line[$n], $seen->in(array_map(fn (Box $box) => $box->word, $line))),
            );
            $text = implode(' ', array_map(fn (Box $box) => $box->word, $line));
            foreach ($masks as $mask) {
                $at = 0;
                $places = $mask->find($text, true);
                foreach ($line as $box) {
                    $to = $at + strlen($box->word);
                    array_filter($places, fn (array $place) => $place[0] < $to && $place[1] > $at) === []
                        || $named[] = $box;
                    $at = $to + 1;
                }
            }
        }

        return array_values(array_unique($named, SORT_REGULAR));
    }

    private function sayTheSame(string $one, string $other): bool
    {
        $letters = fn (string $word): string => substr(
            (string) preg_replace(
                '/[^a-z0-9]+/', '', strtolower((string) iconv('UTF-8', 'ASCII//TRANSLIT//IGNORE', $word)),
            ),
            0, 80,
        );
        [$one, $other] = [$letters($one), $letters($other)];

        return $one === $other || levenshtein($one, $other) <= intdiv(max(strlen($one), strlen($other)), 3)
            || ($one !== '' && str_contains($other, $one));
    }

    /**
     * Running heads that name an author, by page.
     *
     * @param  list<Mask>  $masks
     * @return array<int, list<string>>
     */
    private function heads(string $path, int $pages, array $masks): array
    {
        $all = [];
        for ($from = 1; $from <= $pages && $masks !== []; $from += 50) {
            foreach ($this->text->of($path, $from, min($pages, $from + 49)) as $page) {
                $lines = array_map(
                    fn (array $line) => implode(' ', array_map(fn (Box $box) => $box->word, $line)), $page,
                );
                $all[] = array_values(array_intersect_key($lines, array_flip(RunningHeads::edges($lines))));
            }
        }
        $heads = [];
        foreach (RunningHeads::ofPages($all) as $n => $repeated) {
            foreach ($repeated as $line) {
                array_filter($masks, fn (Mask $mask) => $mask->isHead($all[$n][$line])) === []
                    || $heads[$n + 1][] = $all[$n][$line];
            }
        }

        return $heads;
    }

    /**
     * Pages with a picture large enough to be a scan.
     *
     * @param  list<float>  $sizes
     * @return array<int, true> by number
     */
    private function pictured(string $path, array $sizes): array
    {
        $listed = $this->child->run(
            ['pdfimages', '-list', '--', $path], limitAddressSpace: true, reads: [$path],
        )['out'];
        $pages = [];
        foreach (explode("\n", $listed) as $row) {
            // page num type width height color comp bpc enc interp object ID x-ppi y-ppi size ratio
            $columns = preg_split('/\s+/', trim($row)) ?: [];
            if (
                count($columns) > 13 && is_numeric($columns[0]) && (float) $columns[12] > 0 && (float) $columns[13] > 0
            ) {
                $area = self::INCH * self::INCH * (
                    (float) $columns[3] / (float) $columns[12]
                ) * ((float) $columns[4] / (float) $columns[13]);
                $side = $sizes[(int) $columns[0] - 1] ?? INF;
                if ($area > self::LARGE * $side * $side) {
                    $pages[(int) $columns[0]] = true;
                }
            }
        }

        return $pages;
    }

    /**
     * @return list<float> the longer side of each page, in points
     *
     * @throws Refusal
     */
    private function sizes(string $path): array
    {
        $most = (int) config('harbor.extraction.pages');
        $info = $this->child->run(
            ['pdfinfo', '-f', '1', '-l', (string) ($most + 1), '--', $path], limitAddressSpace: true, reads: [$path],
        )['out'];
        preg_match_all('/^Page +\d+ size: +([\d.]+) x ([\d.]+) pts/m', $info, $found);
        $sizes = array_map(fn (string $one, string $other) => max((float) $one, (float) $other), $found[1], $found[2]);

        return match (true) {
            $sizes === [] => throw new Refusal('This PDF has no pages that can be drawn.'),
            count($sizes) > $most => throw new Refusal(
                "This PDF has more than {$most} pages; of such only the text is shown."
            ),
            default => $sizes,
        };
    }

    /**
     * Pages that follow each other and are drawn alike.
     *
     * @param  list<float>  $sizes
     * @return list<array{int, int, int}> first, last, dots an inch
     */
    private function runs(array $sizes): array
    {
        $runs = [];
        foreach ($sizes as $n => $size) {
            $resolution = max(
                20, min(self::RESOLUTION, (int) floor(self::LONGEST_SIDE * self::INCH / max(1.0, $size))),
            );
            $last = count($runs) - 1;
            if (
                $last >= 0 && $runs[$last][2] === $resolution && $runs[$last][1] - $runs[$last][0] + 1 < self::AT_ONCE
            ) {
                $runs[$last][1] = $n + 1;
            } else {
                $runs[] = [$n + 1, $n + 1, $resolution];
            }
        }

        return $runs;
    }
}

<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Text;

/**
 * A text's markup with places in it marked: the words of each place, and its number behind them, which leads to what is
 * said about it. Positions count code points of the text content, as {@see TextAnchor} does.
 */
final class PlacedHtml
{
    private const VOID = ['area', 'br', 'col', 'hr', 'img', 'input', 'wbr'];

    private int $at = 0;

    private int $depth = 0;

    private bool $inLink = false;

    /** @var list<string> numbers that wait until a link has ended */
    private array $waiting = [];

    /** @var list<array{html: string, numbers: list<int>}> */
    private array $blocks = [];

    private string $html = '';

    /** @var list<int> */
    private array $numbers = [];

    /**
     * @param  list<array{start: int, end: int, number: int, kind: string, label: string}>  $places
     */
    private function __construct(private readonly array $places)
    {
    }

    /**
     * The markup block by block, with the numbers of the places that end in each.
     *
     * @param  string  $html  markup that was made safe
     * @param  list<array{start: int, end: int, number: int, kind: string, label: string}>  $places  label: how the number is read aloud
     * @return list<array{html: string, numbers: list<int>}>
     */
    public static function blocks(string $html, array $places): array
    {
        $placed = new self($places);
        // A page drops the line break that follows <pre>.
        $html = (string) preg_replace('/<pre>\R/', '<pre>', str_replace(["\r\n", "\r"], "\n", $html));
        foreach (preg_split('/(<[^>]*>)/', $html, -1, PREG_SPLIT_DELIM_CAPTURE | PREG_SPLIT_NO_EMPTY) ?: [] as $token) {
            $token[0] === '<' ? $placed->tag($token) : $placed->text($token);
        }
        $placed->endBlock();

        return $placed->blocks;
    }

    private function tag(string $tag): void
    {
        preg_match('/^<(\/?)([a-z0-9]+)/i', $tag, $found);
        [$closes, $name] = [($found[1] ?? '') === '/', strtolower($found[2] ?? '')];
        $this->html .= $tag;
        if ($name === '' || in_array($name, self::VOID, true) || str_ends_with($tag, '/>')) {
            return;
        }
        $this->depth = max(0, $this->depth + ($closes ? -1 : 1));
        if ($name === 'a') {
            $this->inLink = ! $closes;
            if ($closes) {
                $this->html .= implode('', $this->waiting);
                $this->waiting = [];
            }
        }
        $closes && $this->depth === 0 && $this->endBlock();
    }

    private function text(string $token): void
    {
        $text = html_entity_decode($token, ENT_QUOTES | ENT_HTML5, 'UTF-8');
        $from = $this->at;
        $to = $this->at = $from + mb_strlen($text);
        $cuts = [$from, $to];
        foreach ($this->places as $place) {
            foreach ([$place['start'], $place['end']] as $cut) {
                $cut > $from && $cut < $to && $cuts[] = $cut;
            }
        }
        $cuts = array_values(array_unique($cuts));
        sort($cuts);
        for ($n = 1; $n < count($cuts); $n++) {
            $this->piece(mb_substr($text, $cuts[$n - 1] - $from, $cuts[$n] - $cuts[$n - 1]), $cuts[$n - 1], $cuts[$n]);
        }
    }

    private function piece(string $text, int $from, int $to): void
    {
        $here = array_values(array_filter(
            $this->places, fn (array $place) => $place['start'] < $to && $place['end'] > $from,
        ));
        $written = htmlspecialchars($text, ENT_QUOTES | ENT_HTML5, 'UTF-8');
        $this->html .= $here === [] || trim($text) === ''
            ? $written
            : '<mark class="placed '.implode(' ', array_unique(array_column($here, 'kind'))).'">'.$written.'</mark>';
        foreach ($here as $place) {
            if ($place['end'] === $to) {
                $this->number($place);
            }
        }
    }

    /**
     * @param  array{start: int, end: int, number: int, kind: string, label: string}  $place
     */
    private function number(array $place): void
    {
        $this->numbers[] = $place['number'];
        $link = sprintf(
            '<a class="place-number" id="place-%1$d" href="#comment-%1$d" aria-label="%2$s">%1$d</a>', $place['number'],
            htmlspecialchars($place['label'], ENT_QUOTES | ENT_HTML5, 'UTF-8'),
        );
        $this->inLink ? $this->waiting[] = $link : $this->html .= $link;
    }

    private function endBlock(): void
    {
        if ($this->html !== '') {
            $this->blocks[] = ['html' => $this->html, 'numbers' => $this->numbers];
        }
        [$this->html, $this->numbers] = ['', []];
    }
}

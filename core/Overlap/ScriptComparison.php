<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

use YoungHarbor\Core\Text\Words;

/**
 * One script against its sources, one after the other.
 */
final readonly class ScriptComparison
{
    /** @var list<string> */
    private array $script;

    /** @var list<int> */
    private array $numbers;

    public function __construct(
        Words $script,
        private Alignment $alignment,
        private CloseWording $closeWording = new CloseWording,
    ) {
        $this->script = $script->normalForms();
        $this->numbers = Grams::numbers($this->script);
    }

    /**
     * @param  list<int>  $source  numbers of its words
     * @param  bool  $close  whether close wording is looked for too
     */
    public function with(array $source, string $name, bool $close = true): MatchedSource
    {
        return new MatchedSource(
            $name, $this->alignment->runs($this->numbers, $source, $name),
            $close ? $this->closeWording->passages($this->script, $source, $name) : [],
        );
    }

    /**
     * The same pair from the other side: what the source has in common with this script.
     *
     * @param  list<int>  $source
     */
    public function mirrored(array $source, MatchedSource $found, string $name): MatchedSource
    {
        $swapped = fn (Run $run): Run => new Run(
            $name,
            array_map(fn (Piece $piece) => new Piece($piece->sourceFrom, $piece->from, $piece->length), $run->pieces),
        );

        return new MatchedSource(
            $name, $this->alignment->runs($source, $this->numbers, $name), array_map($swapped, $found->close),
        );
    }
}

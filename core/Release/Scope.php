<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Input\JsonForm;

/**
 * Which of an assignment's results go out in one release: all that are ready then, those of some sections, or single
 * ones by script code.
 */
final readonly class Scope implements JsonForm
{
    /**
     * @param  list<string>|null  $codes
     * @param  list<string>|null  $sections
     */
    private function __construct(public ?array $codes, public ?array $sections)
    {
    }

    public static function all(): self
    {
        return new self(null, null);
    }

    /**
     * @param  list<string>  $codes
     *
     * @throws InvalidInput for none
     */
    public static function codes(array $codes): self
    {
        return self::fromArray(['codes' => $codes]);
    }

    /**
     * @param  list<string>  $sections
     *
     * @throws InvalidInput for none
     */
    public static function sections(array $sections): self
    {
        return self::fromArray(['sections' => $sections]);
    }

    public static function usual(): static
    {
        return self::all();
    }

    /**
     * @param  array<array-key, mixed>  $document  {}, {"codes": ["TERN-417"]} or {"sections": ["A"]}
     *
     * @throws InvalidInput
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, ['codes', 'sections']);
        isset($document['codes'], $document['sections']) && $in->fault('sections', 'must not stand beside codes');
        $lists = [];
        foreach (['codes', 'sections'] as $key) {
            $lists[$key] = isset($document[$key])
                ? array_values(array_unique(array_filter($in->map($document, $key, $key), is_string(...))))
                : null;
            $lists[$key] === [] && $in->fault($key, 'must name at least one');
        }
        $in->throwFaults();

        return new self($lists['codes'], $lists['sections']);
    }

    /**
     * @return array<string, list<string>>
     */
    public function toArray(): array
    {
        return array_filter(['codes' => $this->codes, 'sections' => $this->sections], fn (?array $one) => $one !== null);
    }

    /** Whether it asks for single results, all of which have to be ready; else those that are go out. */
    public function isByHand(): bool
    {
        return $this->codes !== null;
    }

    public function has(string $code, string $section): bool
    {
        return match (true) {
            $this->codes !== null => in_array($code, $this->codes, true),
            $this->sections !== null => in_array($section, $this->sections, true),
            default => true,
        };
    }
}

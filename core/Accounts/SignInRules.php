<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Accounts;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Input\JsonForm;

/**
 * How people sign in at an institution: who needs a second step, and whether a link by mail does in place of the
 * password.
 */
final readonly class SignInRules implements JsonForm
{
    /**
     * @param  list<Staff>  $secondStep  who has to have one
     * @param  bool  $mailLinks  whether a link by mail can be asked for in place of the password
     */
    private function __construct(public array $secondStep, public bool $mailLinks)
    {
    }

    public static function usual(): static
    {
        return new self([], false);
    }

    /**
     * @param  array<array-key, mixed>  $document
     *
     * @throws InvalidInput naming each field that is wrong
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, ['second_step', 'mail_links']);
        $document += ['second_step' => [], 'mail_links' => false];
        $named = $document['second_step'];
        $kinds = [];
        foreach (is_array($named) ? $named : [$named] as $one) {
            $kind = is_string($one) ? Staff::tryFrom($one) : null;
            $kind === null
                ? $in->fault('second_step', 'names kinds of staff: '.implode(', ', array_column(Staff::cases(), 'value')))
                : $kinds[$kind->value] = $kind;
        }
        $links = $in->flag($document, 'mail_links', 'mail_links', false);
        $in->throwFaults();

        return new self(array_values($kinds), $links);
    }

    /**
     * @return array{second_step: list<string>, mail_links: bool}
     */
    public function toArray(): array
    {
        return [
            'second_step' => array_map(fn (Staff $kind) => $kind->value, $this->secondStep),
            'mail_links' => $this->mailLinks,
        ];
    }

    /**
     * @param  list<Staff>  $kinds  what someone is
     */
    public function wantsSecondStep(array $kinds): bool
    {
        return array_filter($kinds, fn (Staff $kind) => in_array($kind, $this->secondStep, true)) !== [];
    }
}

<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Collect;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * What students declare when they hand in, in fields that the coordinator words: sentences to confirm, and questions
 * to answer in their own words (help used: which tools, which people, and what for).
 */
final readonly class Declaration
{
    public const CONFIRM = 'confirm';

    public const WORDS = 'words';

    private const MOST_FIELDS = 12;

    /**
     * @param  list<array{id: string, kind: string, label: string, required: bool}>  $fields
     */
    private function __construct(public array $fields)
    {
    }

    /**
     * @param  array<array-key, mixed>  $document  a list of {"id", "kind": "confirm" or "words", "label", "required"}
     *
     * @throws InvalidInput
     */
    public static function fromArray(array $document): self
    {
        $in = new Document;
        $fields = [];
        $ids = [];
        foreach ($in->rows(['fields' => $document], 'fields', 'fields', self::MOST_FIELDS) as $n => $row) {
            $id = $in->text($row, 'id', "fields[{$n}].id", 20, true);
            $kind = $row['kind'] ?? null;
            if (preg_match('/\A[a-z0-9]+\z/', $id) !== 1 || isset($ids[$id])) {
                $in->fault("fields[{$n}].id", 'must be small letters and digits, each only once');
            }
            if (! in_array($kind, [self::CONFIRM, self::WORDS], true)) {
                $in->fault("fields[{$n}].kind", 'must be "confirm" or "words"');
            }
            $ids[$id] = true;
            $fields[] = [
                'id' => $id, 'kind' => is_string($kind) ? $kind : '',
                'label' => trim($in->text($row, 'label', "fields[{$n}].label", 400, true)),
                'required' => ($row['required'] ?? true) !== false,
            ];
        }
        $in->throwFaults();

        return new self($fields);
    }

    /**
     * What was declared, question by question, to be kept with the work.
     *
     * @param  array<array-key, mixed>  $given  by field id: "1" for a sentence confirmed, words for a question
     * @return list<array{label: string, answer: string}>
     *
     * @throws InvalidInput naming the fields that need an answer
     */
    public function answers(array $given): array
    {
        $in = new Document;
        $answers = [];
        foreach ($this->fields as $field) {
            $place = $field['id'];
            $answer = $given[$place] ?? '';
            $answer = $field['kind'] === self::CONFIRM
                ? (in_array($answer, ['1', 'on', true], true) ? 'confirmed' : '')
                : trim($in->text([$place => $answer], $place, $place, 4000));
            if ($answer === '' && $field['required']) {
                $in->fault(
                    $place,
                    $field['kind'] === self::CONFIRM
                        ? "Confirm this to hand in: “{$field['label']}”"
                        : "Answer this to hand in (“none” is an answer): “{$field['label']}”",
                );
            }
            $answers[] = [
                'label' => $field['label'],
                'answer' => $answer === '' ? ($field['kind'] === self::CONFIRM ? 'not confirmed' : '–') : $answer,
            ];
        }
        $in->throwFaults();

        return $answers;
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Requests\Mark\Concerns;

use Illuminate\Validation\Rule;
use YoungHarbor\Core\Formats\BankFile;
use YoungHarbor\Core\Text\CommentKind;

/**
 * What a comment of the bank has to have.
 */
trait WritesBankComment
{
    /**
     * @return array<string, mixed>
     */
    private function commentRules(): array
    {
        return [
            'label' => ['required', 'string', 'max:80'], 'text' => ['required', 'string', 'max:'.BankFile::LONGEST],
            'kind' => ['nullable', Rule::enum(CommentKind::class)], 'criterion' => ['nullable', 'string', 'max:200'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'label.required' => 'Give it a short label.', 'label.max' => 'A label has 80 characters at most.',
            'text.required' => 'Write the comment.',
            'text.max' => 'A comment of the bank has '.number_format(BankFile::LONGEST).' characters at most.',
        ];
    }

    /**
     * @return array{label: string, text: string, kind: string, criterion: string}
     */
    public function fields(): array
    {
        return [
            'label' => trim($this->validated('label')),
            'text' => trim(str_replace("\r\n", "\n", $this->validated('text'))),
            'kind' => $this->validated('kind') ?? CommentKind::usual()->value,
            'criterion' => trim($this->validated('criterion') ?? ''),
        ];
    }
}

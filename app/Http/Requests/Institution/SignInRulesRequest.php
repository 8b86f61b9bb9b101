<?php

declare(strict_types=1);

namespace App\Http\Requests\Institution;

use Illuminate\Validation\Rule;
use YoungHarbor\Core\Accounts\SignInRules;
use YoungHarbor\Core\Accounts\Staff;

/**
 * Who has to have a second step, and whether links by mail do.
 */
final class SignInRulesRequest extends AdministerRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'second_step' => ['array'], 'second_step.*' => [Rule::enum(Staff::class)], 'mail_links' => ['boolean'],
        ];
    }

    public function rulesOfSignIn(): SignInRules
    {
        return SignInRules::fromArray([
            'second_step' => array_values((array) $this->validated('second_step', [])),
            'mail_links' => $this->boolean('mail_links'),
        ]);
    }
}

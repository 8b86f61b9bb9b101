<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Http\Requests\GuardedRequest;
use App\Models\Script;
use Illuminate\Validation\Rule;
use YoungHarbor\Core\Marking\SecondView;

/**
 * Asking for a third marker.
 */
final class ThirdRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['askForThird', $this->bound('script', Script::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'view' => ['required', Rule::in([SecondView::Blind->value, SecondView::Open->value])],
            'why' => ['nullable', 'string', 'max:4000'],
        ];
    }

    public function view(): SecondView
    {
        return SecondView::from((string) $this->input('view'));
    }
}

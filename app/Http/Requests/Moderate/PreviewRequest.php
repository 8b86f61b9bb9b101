<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Models\Script;

/**
 * A mark that is looked at as its student would see it; its reason may still be missing.
 */
final class PreviewRequest extends OfferRequest
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
        return ['reason' => ['nullable', 'string', 'max:4000']] + parent::rules();
    }
}

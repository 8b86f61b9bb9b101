<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Enums\SourceKind;
use App\Models\OverlapSource;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Whoever uses it says which words.
 *
 * @extends Factory<OverlapSource>
 */
final class OverlapSourceFactory extends Factory
{
    protected $model = OverlapSource::class;

    /**
     * @return array<string, mixed>
     */
    public function definition(): array
    {
        return [
            'kind' => SourceKind::Archive, 'shelf' => OverlapSource::ARCHIVE, 'title' => 'An earlier essay',
        ];
    }
}

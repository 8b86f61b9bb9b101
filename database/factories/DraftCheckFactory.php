<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\DraftCheck;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Whoever uses it says of which script and student.
 *
 * @extends Factory<DraftCheck>
 */
final class DraftCheckFactory extends Factory
{
    protected $model = DraftCheck::class;

    /**
     * @return array<string, mixed>
     */
    public function definition(): array
    {
        return ['words' => 2, 'text' => 'Two words.', 'notes' => []];
    }
}

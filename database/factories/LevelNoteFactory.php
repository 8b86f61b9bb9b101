<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\LevelNote;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Whoever uses it says of which assignment.
 *
 * @extends Factory<LevelNote>
 */
final class LevelNoteFactory extends Factory
{
    protected $model = LevelNote::class;

    /**
     * @return array<string, mixed>
     */
    public function definition(): array
    {
        return ['criterion' => 'c1', 'text' => 'High: an objection is met.', 'saved_by' => User::factory()];
    }
}

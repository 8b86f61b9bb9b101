<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Conflict;
use App\Models\Module;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * @extends Factory<Conflict>
 */
final class ConflictFactory extends Factory
{
    protected $model = Conflict::class;

    /**
     * @return array<string, mixed>
     */
    public function definition(): array
    {
        return [
            'module_id' => Module::factory(), 'marker_id' => User::factory(), 'student_id' => User::factory(),
            'reason' => 'Related.', 'made_by' => User::factory(),
        ];
    }
}

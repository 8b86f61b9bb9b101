<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\AllocationPlan;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Whoever uses it says of which assignment.
 *
 * @extends Factory<AllocationPlan>
 */
final class AllocationPlanFactory extends Factory
{
    protected $model = AllocationPlan::class;

    /**
     * @return array<string, mixed>
     */
    public function definition(): array
    {
        return [
            'seed' => 1, 'state' => 'draft', 'entries' => [], 'unplaced' => [], 'notes' => [],
            'settings' => ['markers' => [], 'keep_groups' => false, 'even_out' => false], 'made_by' => User::factory(),
        ];
    }
}

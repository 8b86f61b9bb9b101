<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\AssignmentTemplate;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Whoever uses it says of which assignment.
 *
 * @extends Factory<AssignmentTemplate>
 */
final class AssignmentTemplateFactory extends Factory
{
    protected $model = AssignmentTemplate::class;

    /**
     * @return array<string, mixed>
     */
    public function definition(): array
    {
        return [
            'name' => 'sheet.txt', 'path' => 'templates/x', 'bytes' => 9, 'sha256' => str_repeat('0', 64), 'text' => '',
        ];
    }
}

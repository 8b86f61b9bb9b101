<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Facades\Hash;

/**
 * @extends Factory<User>
 */
final class UserFactory extends Factory
{
    protected $model = User::class;

    private static ?string $password = null;

    /**
     * @return array<string, mixed>
     */
    public function definition(): array
    {
        return [
            'name' => $this->faker->firstName().' '.$this->faker->lastName(),
            'email' => $this->faker->unique()->bothify('??????####').'@merrow.example',
            'number' => 'M'.$this->faker->unique()->numerify('######'),
            'password' => self::$password ??= Hash::make('low-water-mark'),
            'joined_at' => now(),
            'is_admin' => false,
        ];
    }
}

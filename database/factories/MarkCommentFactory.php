<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\MarkComment;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Whoever uses it says of which mark.
 *
 * @extends Factory<MarkComment>
 */
final class MarkCommentFactory extends Factory
{
    protected $model = MarkComment::class;

    /**
     * @return array<string, mixed>
     */
    public function definition(): array
    {
        return [
            'kind' => 'remark', 'criterion' => null, 'body' => 'Here it turns.',
            'anchor' => [
                'exact' => 'Essay', 'prefix' => '', 'suffix' => '', 'start' => 0, 'end' => 5, 'version' => '',
            ],
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use App\Enums\AttachedText;
use YoungHarbor\Core\Names\Mask;

/**
 * Something a person wrote with a file beside it, whose names the other side is not to learn yet.
 *
 * @property string|null $file_path
 * @property string $file_name
 * @property AttachedText $file_state of its text without names
 * @property string|null $file_text its text without names, once made
 */
trait HasAttachedFile
{
    /**
     * Of those whose names are hidden in it.
     *
     * @return list<Mask>
     */
    abstract public function masks(): array;

    public function withoutNames(string $text): string
    {
        return Mask::hideAll($this->masks(), $text);
    }

    /** Whether its text is still being made; what was lost on the way to the worker is not waited for. */
    public function isBeingRead(): bool
    {
        return $this->file_state === AttachedText::Waits && $this->created_at->isAfter(now()->subMinutes(10));
    }
}

<?php

declare(strict_types=1);

namespace App\Actions\Collect\Concerns;

use App\Documents\Receipts;
use App\Handins\UploadedPiece;
use App\Models\Handin;
use App\Models\Script;
use App\Models\User;
use DateTimeImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use LogicException;
use YoungHarbor\Core\Collect\Attempts;

/**
 * Keeps an attempt as it came, sealed, with a receipt.
 *
 * @property-read Receipts $receipts
 */
trait KeepsAttempts
{
    /**
     * @param  non-empty-list<UploadedPiece>  $work
     * @param  list<string>  $paths
     * @param  list<array{label: string, answer: string}>|null  $declared
     */
    private function keep(
        Script $script, User $by, array $work, array $paths, Carbon $received, ?array $declared, ?string $once,
    ): Handin {
        $sums = array_map(fn (UploadedPiece $piece) => $piece->sha256(), $work);
        $handin = $script->handins()->make([
            'public_id' => (new Handin)->newUniqueId(),
            'attempt' => (int) $script->getAttribute('handins_max_attempt') + 1,
            'handed_in_by' => $by->id,
            'bytes' => array_sum(array_map(fn (UploadedPiece $piece) => $piece->bytes(), $work)),
            'sha256' => count($sums) === 1 ? $sums[0] : hash('sha256', implode("\n", $sums)."\n"),
            'words' => 0, 'text' => '', 'html' => '', 'notes' => [], 'identity' => [],
            'declaration' => $declared, 'due_at' => $script->due_at,
            'late' => Attempts::isLate($received->toDateTimeImmutable(), $this->due($script)),
            'received_at' => $received, 'created_at' => now()->startOfSecond(), 'once' => $once,
        ]);
        $files = array_map(fn (UploadedPiece $piece, int $n) => $handin->files()->make([
            'position' => $n + 1, 'kind' => $piece->kind->value, 'original_name' => $piece->name, 'path' => $paths[$n],
            'link' => $piece->link, 'bytes' => $piece->bytes(), 'sha256' => $sums[$n], 'words' => 0,
        ]), $work, array_keys($work));
        $handin->setRelation('files', new Collection($files));
        $handin->seal = $this->receipts->seal($this->receipts->of($handin));
        $handin->save();
        $handin->files()->saveMany($files);

        return $handin;
    }

    private function due(Script $script): DateTimeImmutable
    {
        return $script->due_at?->toDateTimeImmutable()
            ?? throw new LogicException('What is open to students has a due time.');
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;
use YoungHarbor\Core\Text\CommentKind;

/**
 * A comment worth using again: a short label to find it by, and the long words that go into the script.
 *
 * @property int $id
 * @property string $public_id
 * @property int $bank_set_id
 * @property string $label
 * @property string $text
 * @property CommentKind $kind
 * @property string $criterion the title of a criterion, or empty
 * @property int $used
 * @property int $saved_by
 * @property int $lock_version
 * @property-read BankSet $set
 */
final class BankComment extends Model
{
    use HasPublicId;
    use SoftDeletes;

    /** For so long a deleted comment can be brought back. */
    public const KEPT_DAYS = 30;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['kind' => CommentKind::class];
    }

    /**
     * @return array{id: string, label: string, text: string, kind: string, criterion: string, used: int, set: string}
     */
    public function forDesk(): array
    {
        return [
            'id' => $this->public_id, 'label' => $this->label, 'text' => $this->text, 'kind' => $this->kind->value,
            'criterion' => $this->criterion, 'used' => $this->used ?? 0, 'set' => $this->set->title,
        ];
    }

    /**
     * @return BelongsTo<BankSet, $this>
     */
    public function set(): BelongsTo
    {
        return $this->belongsTo(BankSet::class, 'bank_set_id');
    }
}

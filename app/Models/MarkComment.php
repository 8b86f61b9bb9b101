<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Database\Factories\MarkCommentFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Text\CommentKind;

/**
 * A comment on a place of a script: words of its text, or a shape on one of its pages.
 *
 * @property int $id
 * @property string $public_id
 * @property int $mark_id
 * @property CommentKind $kind
 * @property string|null $criterion
 * @property string $body
 * @property array<string, mixed> $anchor of words: as TextAnchor writes it; on a page: file, page and shape
 * @property bool $starred its student reads it first
 * @property int|null $bank_comment_id
 * @property Carbon|null $gone_at
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property-read Mark $mark
 */
final class MarkComment extends Model
{
    /** @use HasFactory<MarkCommentFactory> */
    use HasFactory;

    use HasPublicId;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['kind' => CommentKind::class, 'anchor' => 'array', 'starred' => 'boolean', 'gone_at' => 'datetime'];
    }

    /**
     * @return BelongsTo<Mark, $this>
     */
    public function mark(): BelongsTo
    {
        return $this->belongsTo(Mark::class);
    }

    public function isOnPage(): bool
    {
        return isset($this->anchor['page']);
    }

    /**
     * What the desk knows of it.
     *
     * @return array{body: string, kind: string, criterion: string|null, anchor: array<string, mixed>, starred: bool, gone: bool}
     */
    public function content(): array
    {
        return [
            'body' => $this->body, 'kind' => $this->kind->value, 'criterion' => $this->criterion,
            'anchor' => $this->anchor, 'starred' => (bool) $this->starred, 'gone' => $this->gone_at !== null,
        ];
    }
}

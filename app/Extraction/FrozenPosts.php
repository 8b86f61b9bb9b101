<?php

declare(strict_types=1);

namespace App\Extraction;

use YoungHarbor\Core\Discussion\FrozenPiece;
use YoungHarbor\Core\Discussion\FrozenWork;
use YoungHarbor\Core\Document\Document;
use YoungHarbor\Core\Document\Node;
use YoungHarbor\Core\Document\NodeKind;

/**
 * Reads what was frozen of a discussion into one text: each piece with what it answers before it and who answered
 * behind
 * it, which are not its writer's words and are counted nowhere.
 */
final readonly class FrozenPosts
{
    public function __construct(private HtmlTree $tree)
    {
    }

    public function read(string $json): Document
    {
        $work = FrozenWork::fromJson($json);
        $content = [$this->around([$this->paragraph(self::counted($work))])];
        foreach ($work->pieces as $n => $piece) {
            array_push($content, "\n", $this->before($piece, $n + 1), "\n", ...[
                ...$this->tree->ofOurs($piece->html)->content, "\n",
            ]);
            $behind = $this->behind($piece);
            $behind === [] || array_push($content, $this->around($behind), "\n");
        }

        return Document::of($content);
    }

    private static function counted(FrozenWork $work): string
    {
        $replies = count(array_filter($work->pieces, fn (FrozenPiece $one) => $one->reply));

        return __('discuss.frozen.counted', [
            'posts' => trans_choice('discuss.posts', count($work->pieces) - $replies),
            'replies' => trans_choice('discuss.replies', $replies), 'words' => number_format($work->counts['words']),
            'received' => trans_choice('discuss.received', $work->counts['received']),
        ]);
    }

    private function before(FrozenPiece $piece, int $number): Node
    {
        $parts = [Node::of(NodeKind::Heading3, [
            __($piece->reply ? 'discuss.frozen.reply' : 'discuss.frozen.post', ['number' => $number, 'topic' => $piece->topic]),
        ])];
        $piece->answers === null || $parts[] = $this->paragraph(
            __('discuss.frozen.answers', ['who' => $piece->answers['who'], 'text' => $piece->answers['text']])
        );
        $piece->hidden === null || $parts[] = $this->paragraph(__('discuss.frozen.hidden', ['reason' => $piece->hidden]));

        return $this->around($parts);
    }

    /**
     * @return list<Node>
     */
    private function behind(FrozenPiece $piece): array
    {
        $parts = [];
        foreach ($piece->files as $file) {
            $parts[] = $this->paragraph($file['description'] === ''
                ? __('discuss.frozen.file')
                : __('discuss.frozen.picture', ['description' => $file['description']]));
        }
        foreach ($piece->answered as $one) {
            $parts[] = $this->paragraph(__('discuss.frozen.answered', ['who' => $one['who'], 'text' => $one['text']]));
        }

        return $parts;
    }

    /**
     * @param  list<Node>  $content
     */
    private function around(array $content): Node
    {
        return Node::of(NodeKind::Around, $content);
    }

    private function paragraph(string $text): Node
    {
        return Node::of(NodeKind::Paragraph, [$text]);
    }
}

<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Discussion;

/**
 * A post or a reply as it stood when its discussion closed, with as much around it as is needed to understand it.
 */
final readonly class FrozenPiece
{
    /**
     * @param  string  $id  of the post, random
     * @param  bool  $reply  whether it answers; else it begins a thread
     * @param  string  $text  as its writer typed it
     * @param  string  $html  as markers read it: of the tree of what is allowed, nobody named
     * @param  string|null  $hidden  why staff hid it from students, when they did
     * @param  array{who: string, text: string}|null  $answers  whom it answers, by script code or as staff, and how that begins
     * @param  list<array{who: string, text: string}>  $answered  who answered it, and how those begin
     * @param  list<array{name: string, description: string, sha256: string}>  $files  what was attached to it
     */
    public function __construct(
        public string $id, public bool $reply, public string $topic, public string $text, public string $html,
        public ?string $hidden, public ?array $answers, public array $answered, public array $files,
    ) {
    }

    /**
     * @return array<string, mixed>
     */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'kind' => $this->reply ? 'reply' : 'post', 'topic' => $this->topic, 'text' => $this->text,
            'html' => $this->html, 'hidden' => $this->hidden, 'answers' => $this->answers, 'answered' => $this->answered,
            'files' => $this->files,
        ];
    }
}

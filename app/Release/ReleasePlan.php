<?php

declare(strict_types=1);

namespace App\Release;

use App\Wording\ReleaseMail;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Release\Scope;

/**
 * What a coordinator asks for when results are to go out.
 */
final readonly class ReleasePlan
{
    /**
     * @param  Carbon|null  $at  when; null: at once
     * @param  bool  $withMarks  or feedback alone, the marks with a later release
     * @param  int|null  $expected  how many whoever asks was told of; null when nobody was told a number
     */
    public function __construct(
        public Scope $scope,
        public ?Carbon $at = null,
        public bool $provisional = false,
        public bool $withMarks = true,
        public string $subject = '',
        public string $body = '',
        public ?int $expected = null,
    ) {
    }

    public function subject(): string
    {
        return trim($this->subject) === '' ? ReleaseMail::usualSubject() : trim($this->subject);
    }

    public function body(): string
    {
        return trim($this->body) === '' ? ReleaseMail::usualBody() : trim($this->body);
    }
}

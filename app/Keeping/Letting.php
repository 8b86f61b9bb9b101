<?php

declare(strict_types=1);

namespace App\Keeping;

use App\Keeping\LettingGo\LetGoConversations;
use App\Keeping\LettingGo\LetGoLogbook;
use App\Keeping\LettingGo\LetGoMail;
use App\Keeping\LettingGo\LetGoMarks;
use App\Keeping\LettingGo\LetGoRecordings;
use App\Keeping\LettingGo\LetGoScreening;
use App\Keeping\LettingGo\LetGoTexts;
use App\Keeping\LettingGo\LettingGo;
use App\Keeping\LettingGo\LettingGoByAge;
use Illuminate\Contracts\Container\Container;
use YoungHarbor\Core\Keeping\Kind;

/**
 * How each kind goes.
 */
final readonly class Letting
{
    /**
     * Scripts of which nothing may go: of students who are held, those with a review that is not decided, and others of
     * their groups.
     */
    public const HELD = 'COALESCE(scripts.lead_id, scripts.id) IN (SELECT COALESCE(hs.lead_id, hs.id) FROM scripts hs'
        .' JOIN users hu ON hu.id = hs.student_id WHERE hu.hold_reason IS NOT NULL'
        .' OR EXISTS (SELECT 1 FROM reviews hr WHERE hr.script_id = hs.id AND hr.decided_at IS NULL))';

    public function __construct(private Container $container)
    {
    }

    public function of(Kind $kind): LettingGo|LettingGoByAge
    {
        return $this->container->make(match ($kind) {
            Kind::Texts => LetGoTexts::class,
            Kind::Recordings => LetGoRecordings::class,
            Kind::Screening => LetGoScreening::class,
            Kind::Conversations => LetGoConversations::class,
            Kind::Marks => LetGoMarks::class,
            Kind::Mail => LetGoMail::class,
            Kind::Logbook => LetGoLogbook::class,
        });
    }
}

<?php

declare(strict_types=1);

namespace App\Peers;

use App\Models\Assignment;
use App\Models\Round;
use App\Models\Script;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Marks\JoinedMark;

/**
 * What rounds that are closed bring into an assignment's marks.
 */
final class ClosedRounds
{
    /**
     * @param  bool  $reviewing  marks for reviewing too, which stand beside names elsewhere
     * @return array<int, list<JoinedMark>> by script id, in the order they join
     */
    public static function joinedMarks(Assignment $assignment, bool $reviewing): array
    {
        $joined = [];
        $rounds = $assignment->rounds->filter(fn (Round $one) => $one->isClosed() && $one->settings->counts());
        if ($rounds->isEmpty()) {
            return [];
        }
        $scripts = Script::query()->where('assignment_id', $assignment->id)->get(['id', 'lead_id']);
        foreach ($rounds as $round) {
            $works = $round->settings->share === 0 ? null
                : DB::table('round_works')->where('round_id', $round->id)->pluck('combined', 'script_id');
            $members = $round->settings->reviewing === 0 || ! $reviewing ? null
                : DB::table('round_members')->where('round_id', $round->id)->pluck('reviewing_mark', 'script_id');
            foreach ($scripts as $script) {
                $lead = $script->lead_id ?? $script->id;
                if ($works !== null) {
                    $joined[$script->id][] = self::one('peers', $round->settings->share, $works[$lead] ?? null);
                }
                if ($members !== null) {
                    $joined[$script->id][] = self::one('reviewing', $round->settings->reviewing, $members[$script->id] ?? null);
                }
            }
        }

        return $joined;
    }

    /**
     * @param  int<0, 100>  $share
     */
    private static function one(string $what, int $share, mixed $mark): JoinedMark
    {
        return new JoinedMark(
            (string) __("peers.joined.{$what}"), $share, is_string($mark) ? BigDecimal::of($mark) : null,
        );
    }
}

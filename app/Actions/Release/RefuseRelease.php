<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Enums\NoticeKind;
use App\Enums\ReleaseState;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\PreparedResult;
use App\Models\Release;
use App\Notices\NewNotice;
use App\Notices\Notices;

/**
 * Ends a release of which nothing could go out, and tells whoever made it why. Within the transaction that found out.
 */
final class RefuseRelease
{
    public function __construct(private readonly Logbook $logbook, private readonly Notices $notices)
    {
    }

    /**
     * @param  array<string, string>  $leftOut
     */
    public function __invoke(Release $release, string $why, array $leftOut = []): void
    {
        PreparedResult::query()->where('release_id', $release->id)->delete();
        $release->update([
            'state' => ReleaseState::Refused, 'refused' => $why, 'left_out' => $leftOut, 'beat_at' => null,
        ]);
        $assignment = $release->assignment;
        $this->logbook->write(
            Entry::of(LogEvent::ReleaseRefused)->on($assignment)->because($why)->by($release->maker),
        );
        $values = ['assignment' => $assignment->title, 'why' => $why];
        $this->notices->make([new NewNotice(
            $release->maker, NoticeKind::ReleaseRefused, "release:{$release->public_id}",
            (string) __('notices.release_refused', $values), route('release.index', $assignment, false), $assignment,
            (string) __('notices.release_refused_subject', $values),
            (string) __('notices.release_refused_body', $values + [
                'name' => $release->maker->name, 'link' => route('release.index', $assignment),
            ]),
        )]);
    }
}

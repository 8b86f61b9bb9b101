<?php

declare(strict_types=1);

namespace App\Enums;

use App\Models\OverlapSource;
use App\Models\Script;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Gate;

/**
 * Who reads an overlap report, and so what of its sources they may know.
 */
enum OverlapReader
{
    case Student;
    case Marker;
    case Coordinator;

    /** Whoever is signed in. A coordinator who marks a script knows no more of it than its other marker. */
    public static function ofStaff(Script $script): self
    {
        $marks = $script->marks->contains(fn ($mark) => $mark->marker_id === Auth::id());

        return Gate::allows('coordinate', $script) && ! ($marks && ! $script->assignment->namesRevealed())
            ? self::Coordinator
            : self::Marker;
    }

    /** Whether they see what a source says around the words in common. */
    public function reads(OverlapSource $source, Script $script): bool
    {
        return match ($this) {
            self::Coordinator => true,
            self::Marker => $source->handin === null
                || $source->handin->script->assignment_id === $script->assignment_id,
            self::Student => $source->kind === SourceKind::Web
                || $source->handin?->script->student_id === $script->student_id,
        };
    }

    /** Whether they see the whole of it: of another script only who may open that one. */
    public function readsWhole(OverlapSource $source, Script $script): bool
    {
        return $this->reads($source, $script)
            && (
                $this !== self::Marker || $source->handin === null
                || $source->handin->script->marks->contains(fn ($mark) => $mark->marker_id === Auth::id())
            );
    }
}

<?php

declare(strict_types=1);

namespace App\Wording;

use App\Enums\OverlapReader;
use App\Enums\SourceKind;
use App\Models\OverlapSource;
use App\Models\Script;
use YoungHarbor\Core\Overlap\Figures;

/**
 * How the figures of overlap are put into words: the same on the page, in the document and in the conversation record.
 */
final class OverlapWords
{
    private const LEFT_OUT = [
        'given' => 'of the brief and the templates', 'quotation' => 'in quotations',
        'bibliography' => 'in the bibliography', 'passage' => 'in passages taken off here',
    ];

    /** "310 of 1,150 counted words also stand elsewhere." */
    public static function sum(Figures $figures): string
    {
        return number_format($figures->report->matched()).' of '.number_format($figures->report->counted)
            .' counted words also stand elsewhere.';
    }

    /** "1,204 words in all; left out: 54 in quotations." */
    public static function leftOut(Figures $figures): string
    {
        $parts = [];
        foreach ($figures->leftOut as $why => $words) {
            $parts[] = number_format($words).' '.self::LEFT_OUT[$why];
        }

        return number_format($figures->words).' words in all; '.(
            $parts === [] ? 'none are left out.' : 'left out: '.implode(', ', $parts).'.'
        );
    }

    /** "Close wording besides: 41 words in common in 2 passages." Empty when there is none. */
    public static function close(Figures $figures): string
    {
        $passages = count($figures->close);

        return $passages === 0
            ? ''
            : 'Close wording besides, not in the share: '.number_format($figures->closeWords()).' words in common in '
                .($passages === 1 ? 'one passage.' : "{$passages} passages.");
    }

    /**
     * What a source is, for whoever reads. Hand-ins of other assignments go without their code: beside a code of this
     * one it could tell whose script this is. That a source is the same student's is a coordinator's knowledge: a
     * marker who has met the other one with its name would learn whose this is.
     */
    public static function source(OverlapSource $source, Script $reader, OverlapReader $for): string
    {
        $script = $source->handin?->script;

        return match (true) {
            $for === OverlapReader::Student => self::forStudent($source, $reader),
            $source->kind === SourceKind::Web => $source->title !== '' ? $source->title : (string) $source->url,
            $source->kind === SourceKind::Handin && $script?->assignment_id === $reader->assignment_id => $script->code,
            $script !== null && $for === OverlapReader::Marker => 'A hand-in of another assignment',
            $script !== null
                && $script->student_id === $reader->student_id => "The same student’s own “{$source->title}”",
            $source->kind === SourceKind::Handin => "A hand-in for “{$source->title}”",
            default => "“{$source->title}”".($source->cohort === '' ? '' : ", {$source->cohort}"),
        };
    }

    /**
     * Where a source stands, in a word or two.
     *
     * @param  bool  $dated  with the day a page was fetched: close to when the script came in, so not for its markers
     */
    public static function where(OverlapSource $source, Script $reader, bool $dated): string
    {
        return match ($source->kind) {
            SourceKind::Web => 'open web, '.parse_url((string) $source->url, PHP_URL_HOST).(
                $dated ? ', fetched '.LocalTime::day($source->fetched_at ?? $source->created_at) : ''
            ),
            SourceKind::Archive => 'archive, an earlier cohort',
            SourceKind::Handin => $source->shelf === $reader->assignment_id
                ? 'another hand-in of this assignment'
                : 'another assignment of this module',
        };
    }

    /** What a student is told a source is: never whose. */
    private static function forStudent(OverlapSource $source, Script $reader): string
    {
        return match (true) {
            $source->kind === SourceKind::Web => ($source->title !== '' ? $source->title.' · ' : '').$source->url,
            $source->handin !== null
                && $source->handin->script->student_id === $reader->student_id => "Your own “{$source->title}”",
            $source->kind === SourceKind::Archive => 'A text of an earlier year',
            default => 'Work that another student has handed in',
        };
    }
}

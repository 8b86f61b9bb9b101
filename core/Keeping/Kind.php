<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Keeping;

/**
 * What has a period of its own for which it is kept.
 */
enum Kind: string
{
    /** What students handed in, drafted, typed or posted, with files and what others quoted of it. */
    case Texts = 'texts';

    /** Voice, pictures and files of markers and observers. */
    case Recordings = 'recordings';

    /** What screening found in texts and measured of them. */
    case Screening = 'screening';

    /** What was asked and answered about work: about findings, about results, among markers. */
    case Conversations = 'conversations';

    /** Marks, comments and results, and with them all that is left of the work. */
    case Marks = 'marks';

    /** What people were told, in the application and by mail. */
    case Mail = 'mail';

    /** What stands in lines of the logbook; the chain stays. */
    case Logbook = 'logbook';

    /**
     * Those of an assignment, in the order in which they are told of. Mail and the logbook are of the institution.
     *
     * @return list<self>
     */
    public static function ofAssignments(): array
    {
        return [self::Texts, self::Recordings, self::Screening, self::Conversations, self::Marks];
    }

    /**
     * Those that go with marks at the latest, because all that is left of the work goes with them.
     *
     * @return list<self>
     */
    public static function notAfterMarks(): array
    {
        return [self::Texts, self::Recordings, self::Screening, self::Conversations];
    }
}

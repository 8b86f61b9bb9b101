<?php

declare(strict_types=1);

namespace App\Logbook;

/**
 * What can be said with a line of the logbook: figures, keys and people, never free text. Each has its words in
 * lang/en/logbook.php.
 */
enum LogDetail: string
{
    case Added = 'added';
    case After = 'after';
    case Agrees = 'agrees';
    case Already = 'already';
    case AsAdministrator = 'as_administrator';
    case Attempt = 'attempt';
    case Back = 'back';
    case Band = 'band';
    case Bands = 'bands';
    case Before = 'before';
    case BegunMeanwhile = 'begun_meanwhile';
    case Changed = 'changed';
    case Constant = 'constant';
    case Criteria = 'criteria';
    case Days = 'days';
    case Drawn = 'drawn';
    case Due = 'due';
    case ExtraDays = 'extra_days';
    case ExtraPercent = 'extra_percent';
    case Factor = 'factor';
    case File = 'file';
    case Files = 'files';
    case FormOf = 'form';
    case Found = 'found';
    case From = 'from';
    case Given = 'given';
    case Group = 'groups';
    case Handins = 'handins';
    case Hash = 'hash';
    case Held = 'held';
    case How = 'how';
    case Late = 'late';
    case LateNoMore = 'late_no_more';
    case Left = 'left';
    case LeftOut = 'left_out';
    case LinesTold = 'lines_told';
    case LinesLeftOut = 'lines_left_out';
    case Mark = 'mark';
    case Markers = 'markers';
    case Marks = 'marks';
    case Members = 'members';
    case Moved = 'moved';
    case MovedByHand = 'moved_by_hand';
    case OpenAgain = 'open_again';
    case Parts = 'parts';
    case Plan = 'plan';
    case Refused = 'refused';
    case Reports = 'reports';
    case Role = 'role';
    case Scripts = 'scripts';
    case Searches = 'searches';
    case Seat = 'seat';
    case Seconds = 'seconds';
    case Seed = 'seed';
    case Sha256 = 'sha256';
    case ShareBefore = 'share_before';
    case ShareNow = 'share_now';
    case Shares = 'shares';
    case Size = 'size';
    case Student = 'student';
    case Students = 'students';
    case StudentSees = 'student_sees';
    case TakenBack = 'taken_back';
    case Themselves = 'themselves';
    case To = 'to';
    case Total = 'total';
    case View = 'view';
    case Version = 'version';
    case What = 'what';
    case Who = 'who';
    case Why = 'why';
    case Words = 'words';
}

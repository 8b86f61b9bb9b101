<?php

declare(strict_types=1);

namespace App\Logbook;

/**
 * What can stand in the logbook. Each has its words in lang/en/logbook.php.
 */
enum LogEvent: string
{
    // Accounts
    case SignedIn = 'account.signed-in';
    case PasswordChosen = 'account.password-chosen';
    case PasswordReset = 'account.password-reset';
    case PasswordChanged = 'account.password-changed';
    case AdministratorMade = 'account.administrator-made';
    case AdministratorNamed = 'account.administrator-named';
    case AdministratorNoMore = 'account.administrator-no-more';
    case SecondStepSet = 'account.second-step-set';
    case SecondStepGone = 'account.second-step-gone';
    case SecondStepTakenOff = 'account.second-step-taken-off';
    case RecoveryCodesMade = 'account.recovery-codes-made';
    case RecoveryCodeUsed = 'account.recovery-code-used';
    case WrongCodes = 'account.wrong-codes';
    case SessionsEnded = 'account.sessions-ended';
    case LinkSent = 'account.link-sent';
    case AccountChanged = 'account.changed';
    case AccountClosed = 'account.closed';
    case AccountOpened = 'account.opened';
    case AccountsMerged = 'account.merged';
    case PersonErased = 'account.erased';
    case HoldSet = 'account.hold-set';
    case HoldEnded = 'account.hold-ended';
    case DataHandedOver = 'account.data-handed-over';
    case SignInRulesSet = 'account.sign-in-rules-set';
    // Keeping
    case PeriodsSet = 'keeping.periods-set';
    case LettingGoConfirmed = 'keeping.confirmed';
    case LettingGoTakenBack = 'keeping.taken-back';
    case KeptForLonger = 'keeping.kept-for-longer';
    case LetGo = 'keeping.let-go';
    // Running
    case WorkTriedAgain = 'running.tried-again';
    case WorkForgotten = 'running.forgotten';
    // Modules and people
    case ModuleMade = 'module.made';
    case RosterApplied = 'module.roster-applied';
    case PeopleAdded = 'module.people-added';
    case PersonChanged = 'module.person-changed';
    case CoordinatorMade = 'module.coordinator-made';
    case ClosureDaysSet = 'module.closure-days-set';
    case ListOfPeopleTaken = 'module.list-of-people-taken';
    case BankCommentDeleted = 'module.bank-comment-deleted';
    case BankCommentBack = 'module.bank-comment-back';
    // Plan
    case RubricAdded = 'plan.rubric-added';
    case RubricReady = 'plan.rubric-ready';
    case RubricRetired = 'plan.rubric-retired';
    case RubricOpened = 'plan.rubric-opened';
    case BandsMade = 'plan.bands-made';
    case BandsChanged = 'plan.bands-changed';
    case AssignmentMade = 'plan.assignment-made';
    case AssignmentChanged = 'plan.assignment-changed';
    case AssignmentOpened = 'plan.assignment-opened';
    case NewerRubricGiven = 'plan.newer-rubric-given';
    case MarkMoved = 'plan.mark-moved';
    case TemplateAdded = 'plan.template-added';
    case TemplateTaken = 'plan.template-taken-away';
    // Collect
    case HandedIn = 'collect.handed-in';
    case AttemptChosen = 'collect.attempt-chosen';
    case CouldNotBeRead = 'collect.could-not-be-read';
    case DraftChecked = 'collect.draft-checked';
    case AllowanceGiven = 'collect.allowance-given';
    case AllowanceEnded = 'collect.allowance-ended';
    case ExtensionGiven = 'collect.extension-given';
    case ExtensionTakenBack = 'collect.extension-taken-back';
    case LatenessWaived = 'collect.lateness-waived';
    case WaiverTakenBack = 'collect.waiver-taken-back';
    case GroupsSet = 'collect.groups-set';
    case StudentsWrittenTo = 'collect.students-written-to';
    case OriginalOpened = 'collect.original-opened';
    case ScriptsTaken = 'collect.scripts-taken';
    case CohortListTaken = 'collect.cohort-list-taken';
    // Screen
    case ComparedAgain = 'screen.compared-again';
    case SearchedAgain = 'screen.searched-again';
    case ComparingStopped = 'screen.comparing-stopped';
    case LeftOut = 'screen.left-out';
    case LetCount = 'screen.let-count';
    case ChoiceUndone = 'screen.choice-undone';
    case ArchiveAdded = 'screen.archive-added';
    case ArchiveTaken = 'screen.archive-taken-out';
    case BaselineMade = 'screen.baseline-made';
    case BaselineAdded = 'screen.baseline-added';
    case BaselineTaken = 'screen.baseline-taken-out';
    case SentToDetector = 'screen.sent-to-detector';
    case ConversationWritten = 'screen.conversation-written';
    case ConversationShared = 'screen.conversation-shared';
    // Share out
    case ScriptsSharedOut = 'share-out.scripts-shared-out';
    case MarkHandedOver = 'share-out.mark-handed-over';
    case TogetherChosen = 'share-out.together-chosen';
    case LevelsAgreed = 'share-out.levels-agreed';
    case ConflictRecorded = 'share-out.conflict-recorded';
    case ConflictTakenBack = 'share-out.conflict-taken-back';
    case NameLookedAt = 'share-out.name-looked-at';
    case NameHidden = 'share-out.name-hidden';
    case NameLeft = 'share-out.name-left';
    // Mark
    case MarkFinished = 'mark.finished';
    case MarkReopened = 'mark.reopened';
    case MarkBegunFromTogether = 'mark.begun-from-together';
    case MarkersReminded = 'mark.markers-reminded';
    // Moderate
    case SampleDrawn = 'moderate.sample-drawn';
    case SettledByRule = 'moderate.settled-by-rule';
    case LeftToMarkers = 'moderate.left-to-markers';
    case MarkProposed = 'moderate.mark-proposed';
    case ProposalAccepted = 'moderate.proposal-accepted';
    case MarkDecided = 'moderate.mark-decided';
    case SettledOpened = 'moderate.settled-opened';
    case SettlingReminded = 'moderate.settling-reminded';
    case ModeratorsSet = 'moderate.moderators-set';
    case PackSent = 'moderate.pack-sent';
    case PackRequested = 'moderate.pack-requested';
    case PackAnswered = 'moderate.pack-answered';
    case PackSigned = 'moderate.pack-signed';
    case PackTaken = 'moderate.pack-taken';
    case FeedbackChosen = 'moderate.feedback-chosen';
    case ThirdAsked = 'moderate.third-asked';
    case CorrectionAsked = 'moderate.correction-asked';
    case CorrectionApproved = 'moderate.correction-approved';
    case CorrectionRefused = 'moderate.correction-refused';
    case CorrectionTakenBack = 'moderate.correction-taken-back';
    // Release
    case ScriptHeld = 'release.script-held';
    case ScriptLetGo = 'release.script-let-go';
    case ResultReleased = 'release.result-released';
    case ResultOpened = 'release.result-opened';
    case ReleaseSet = 'release.set';
    case ReleaseMoved = 'release.moved';
    case ReleaseStopped = 'release.stopped';
    case ReleaseOut = 'release.out';
    case ReleaseRefused = 'release.refused';
    case ResultsConfirmed = 'release.results-confirmed';
    case ResultCorrected = 'release.result-corrected';
    case ReviewAsked = 'release.review-asked';
    case ReviewDecided = 'release.review-decided';
    case CaseDecided = 'release.case-decided';
    case CaseEnded = 'release.case-ended';
    case NamesRevealed = 'release.names-revealed';
    case GradeBookTaken = 'release.grade-book-taken';
    case ModulePlanSaved = 'release.module-plan-saved';
    case BoardConfirmed = 'release.board-confirmed';
    case BoardSheetTaken = 'release.board-sheet-taken';
    case CandidateNumbersDrawn = 'release.candidate-numbers-drawn';
    case MemberNoteWritten = 'release.member-note-written';
    case MemberNoteTakenBack = 'release.member-note-taken-back';
    // Peers
    case RoundMade = 'peers.round-made';
    case RoundChanged = 'peers.round-changed';
    case RoundOpened = 'peers.round-opened';
    case ReviewsGiven = 'peers.reviews-given';
    case PeerReviewDone = 'peers.review-done';
    case PeerReviewOpened = 'peers.review-opened';
    case PeerReviewReturned = 'peers.review-returned';
    case PeerReviewFlagged = 'peers.review-flagged';
    case PeerReviewHidden = 'peers.review-hidden';
    case PeerReviewLeft = 'peers.review-left';
    case RoundClosed = 'peers.round-closed';
    case ContributionMade = 'peers.contribution-made';
    case ContributionChanged = 'peers.contribution-changed';
    case ContributionOpened = 'peers.contribution-opened';
    case ContributionClosed = 'peers.contribution-closed';
    case ContributionReopened = 'peers.contribution-reopened';
    case MultiplierSet = 'peers.multiplier-set';
    case MultiplierWorkedOut = 'peers.multiplier-worked-out';
    // Observed work
    case SlotsDrawn = 'observe.slots-drawn';
    case SlotsPublished = 'observe.slots-published';
    case SlotMoved = 'observe.slot-moved';
    case SlotsSwapped = 'observe.slots-swapped';
    case NoShowsTaken = 'observe.no-shows-taken';
    // Discussions
    case TopicAdded = 'discuss.topic-added';
    case TopicChanged = 'discuss.topic-changed';
    case TopicTaken = 'discuss.topic-taken-away';
    case TopicClosed = 'discuss.topic-closed';
    case TopicOpened = 'discuss.topic-opened';
    case PostHidden = 'discuss.post-hidden';
    case PostShown = 'discuss.post-shown';
    case PostMoved = 'discuss.post-moved';
    case WorkFrozen = 'discuss.work-frozen';
    case SheetMade = 'reflect.sheet-made';
    case SheetChanged = 'reflect.sheet-changed';
    case SheetOpened = 'reflect.sheet-opened';
    // The logbook itself
    case SealedAnew = 'logbook.sealed-anew';
    case LogbookLetGo = 'logbook.let-go';

    /** Stands in a line whose content was let go. */
    case LineLetGo = 'logbook.line-let-go';
    case Taken = 'logbook.taken';

    /** Whether what is said with it can tell a mark, which whoever marks the same script blind must not learn. */
    public function tellsMark(): bool
    {
        return str_starts_with($this->value, 'mark.') || str_starts_with($this->value, 'moderate.');
    }
}

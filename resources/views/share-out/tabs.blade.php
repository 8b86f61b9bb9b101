<nav class="chips mb-4" aria-label="Sharing out">
    <a href="{{ route('share-out.index', $assignment) }}"
        aria-current="{{ $at === 'plan' ? 'true' : 'false' }}">Who marks what</a>
    <a href="{{ route('together.index', $assignment) }}"
        aria-current="{{ $at === 'together' ? 'true' : 'false' }}">Starting together</a>
    <a href="{{ route('names.index', $assignment) }}"
        aria-current="{{ $at === 'names' ? 'true' : 'false' }}">Names in scripts</a>
    <a href="{{ route('rounds.index', $assignment) }}"
        aria-current="{{ $at === 'peers' ? 'true' : 'false' }}">Peer review</a>
    @if ($assignment->handin_by === App\Enums\HandInBy::GroupOneMark)<a
        href="{{ route('contribution.index', $assignment) }}"
        aria-current="{{ $at === 'contribution' ? 'true' : 'false' }}">Parts in groups</a>@endif
    <a href="{{ route('conflicts.index', $assignment->module) }}">Conflicts of interest</a>
</nav>

@php
    use App\Wording\LocalTime;
    $current = $script?->handins->firstWhere('id', $script->current_handin_id);
    $preview ??= false;
    $dueTime ??= null;
    $due = $script?->due_at ?? $assignment->due_at;
    $closes = $script === null ? $assignment->closes_at : $script->closes_at;
    $pastDue = $due?->isPast() ?? false;
    $rules = $assignment->markRules();
    $own = $dueTime !== null && count($dueTime->working->lines) > 1;
@endphp
<x-page :title="$assignment->title" at="modules">
    <x-slot:head>
        @if ($preview)<div class="notice mb-0!">This is the page students get.
        <a href="{{ route('plan.edit', $assignment) }}">Back to the plan</a></div>@endif
        <div class="heading"><h1>{{ $assignment->title }}</h1><a class="of"
            href="{{ route('modules.show', $assignment->module) }}">{{ $assignment->module->fullTitle() }}</a></div>
    </x-slot:head>
    <div class="split">
        <div>
            @if (($last = $script?->handins->first()) && $last->unreadable !== null)
                <div class="notice refusal mb-4" role="status">
                    <p class="font-bold">{{ $last->attempt === 1 && $script->handins->count() === 1
                    ? 'What you handed in' : "Attempt {$last->attempt}" }} could not be read, so it does not count.</p>
                    <p class="mt-1">{{ $last->unreadable }}</p>
                    <p class="small mt-1">It arrived {{ LocalTime::shown($last->received_at) }}.
                    <a href="{{ route('receipts.show', $last) }}">Receipt</a></p></div>
            @endif
            @if ($assignment->isDiscussion())
                @if ($reader ?? null)@include('discuss.asked')
                @else<p class="mb-1">{{ App\Wording\DiscussionWords::asked($assignment->discussion) }}
                    {{ __('discuss.times.open', ['due' => LocalTime::shown($due), 'ends' => LocalTime::shown($closes ?? $due)]) }}</p>@endif
            @else
            @if ($script && $script->takesHandIns() && ! $assignment->isObserved())<p class="mb-4 lg:hidden"><a class="button"
                href="#hand-in">Hand in</a></p>@endif
            <p class="mb-1">{{ $assignment->isObserved() ? __('observe.student.by_then') : 'Due' }} <b>{{ LocalTime::shown(
                $due) }}</b>@if ($closes)<span class="quiet">; late work is taken until {{ LocalTime::shown($closes) }}
                and marked as late</span>@endif</p>
            @endif
            @if ($own)
                <details class="mb-4"><summary>Why then: this is your own due time</summary>
                <div class="sheet mt-2 px-4 py-1 max-w-2xl scroll">
                    <x-working :lines="$dueTime->working->toArray()" /></div>
                    <p class="quiet small mt-1">{{ implode(' ', $granted) }}
                    Markers do not see this, nor when you hand in.</p></details>
            @else<div class="mb-4"></div>@endif
            @if ($assignment->release->feedbackOnly)<p class="mb-4">
                You will get feedback on this, and no mark.</p>@endif
            @if ($rules->late || $rules->length || $rules->cap)
                <ul class="list-disc ml-5 mb-4">
                    @if ($rules->length)<li>Length: {{ $rules->length->sentence() }}.</li>@endif
                    @if ($rules->late)<li>Late work: {{ $rules->late->sentence() }}.</li>@endif
                    @if ($rules->cap)<li>A resit: {{ YoungHarbor\Core\Figures\Figure::plain($rules->cap) }}
                    marks at most.</li>@endif
                </ul>
            @endif
            @if ($assignment->isObserved() && $assignment->handin_by->isGroup())
                <p class="mb-4">{{ $script?->group_name ? __('observe.student.group', ['group' => $script->group_name,
                    'names' => $script->names()]) : __('observe.student.no_group') }}</p>
            @elseif ($assignment->handin_by->isGroup())
                <p class="mb-4">@if ($script?->group_name)Your group, {{ $script->group_name }}:
                <b>{{ $script->names() }}</b>. Any of you can hand in for all, and each gets a receipt. {{ $assignment->handin_by === App\Enums\HandInBy::GroupOneMark
                    ? 'You get one mark together.' : 'Each of you is marked on their own.' }}@else
                    You hand in as {{ $assignment->handin_by->label() }}.@if ($script)
                    You are in no group yet; what you hand in is yours alone. @endif @endif</p>
            @endif
            @unless ($assignment->isObserved())<p class="quiet small mb-4">
                Your words are compared with what others hand in{{ $assignment->screening->module
                ? ', with the module’s other assignments' : '' }}{{ $assignment->screening->archive
                ? ', with texts of earlier years' : '' }}{{ $assignment->screening->web
                ? ', and with the open web: for that, sequences of '.YoungHarbor\Core\Overlap\Distinctive::LENGTH.' words go to a search service, never your whole text or your name'
                : '' }}. What is found is read by people; no mark follows from it.{{ $assignment->screening->joinsArchive
                ? ' Your text is kept, without your name, for later years to be compared with.'
                : '' }}{{ $assignment->writing_baseline_id !== null
                ? ' How your writing compares with texts of other people is measured too, to see where to begin a talk; it cannot show who wrote what.'.(
                $assignment->screening->detector && config('harbor.detector.address') !== ''
                ? ' For that your text, without your name, also goes to an outside service.' : '')
                : '' }}{{ $assignment->screening->students
                ? ' After the due time you can see where your words also stand.' : '' }}</p>@endunless
            <h2 class="mb-2">The brief</h2>
            <div class="text mb-6">@foreach (preg_split('/\n\s*\n/', trim($assignment->brief)) as $paragraph)
            <p>{!! nl2br(e($paragraph)) !!}</p>@endforeach</div>
            @if ($assignment->templates->isNotEmpty())
                <h2 class="mb-2">To begin from</h2>
                <ul class="mb-6">
                    @foreach ($assignment->templates as $template)
                        <li class="flex flex-wrap items-baseline gap-x-4">
                            <span><a href="{{ route('templates.show', $template) }}">{{ $template->name }}</a>
                            <span class="quiet small">{{ number_format(max(1, $template->bytes / 1024)) }}
                            KB</span></span>
                            @if ($script && $script->takesHandIns() && $assignment->takesTyped()
                                && $template->text !== '')<form method="post"
                                action="{{ route('typed.begin', $template) }}">
                                @csrf<button class="link small">write in a copy here</button></form>@endif</li>
                    @endforeach
                </ul>
            @endif
            @if ($rubric)
                <h2 class="mb-2">How it will be marked</h2>
                <x-rubric-view :rubric="$rubric" />
            @endif
        </div>
        {{-- On a phone, what became of the work comes before the brief once nothing can be handed in any more. --}}
        <aside @class(['max-lg:order-first' => $script !== null && ! $preview
            && (! $script->takesHandIns() || $assignment->isObserved())])>
            @if ($script && ! $preview && ($outcome = $script->outcomeCase()) !== null)
                <p class="notice mb-4">{{ __("cases.to_student.{$outcome->kind->value}") }}</p>
            @endif
            @if ($script?->result)
                <div class="panel mb-4"><h2>Your result is here</h2>
                <p class="mt-2"><a class="button primary"
                    href="{{ route('results.show', $script->result) }}">Read it</a></p></div>
            @endif
            @includeWhen(($ownSlot ?? null) !== null, 'observe.own-slot')
            @if ($assignment->isDiscussion())
                <div class="panel mb-4"><h2>{{ __('discuss.title') }}</h2>
                @foreach ($assignment->topics as $topic)<p class="mt-1">@if ($preview){{ $topic->title }}@else<a
                    href="{{ route('topics.show', $topic) }}">{{ $topic->title }}</a>@endif</p>@endforeach
                @unless ($preview)<p class="mt-3"><a class="button primary"
                    href="{{ route('discussion.show', $assignment) }}">{{ __('discuss.go') }}</a></p>@endunless</div>
            @endif
            @foreach ($rounds ?? [] as $round)
                <div class="panel mb-4"><h2>{{ $round->title }}</h2><p class="quiet">{{ $round->isClosed() ? 'closed'
                    : 'reviews are due '.LocalTime::shown($round->due_at) }}</p>
                <p class="mt-2"><a class="button" href="{{ route('rounds.show', $round) }}">Steps and reviews</a></p></div>
            @endforeach
            @if (($contribution ?? null) !== null && $script?->group_name !== null)
                <div class="panel mb-4"><h2>{{ __('contribution.title') }}</h2>
                <p class="quiet">{{ $contribution->takesRatings() ? 'rate it by '.LocalTime::shown($contribution->due_at)
                    : 'closed' }}</p>
                <p class="mt-2"><a class="button"
                    href="{{ route('contributions.show', $contribution) }}">{{ __('contribution.go') }}</a></p></div>
            @endif
            @if ($current && (! $assignment->isObserved() || ! $current->isSlot()))
                <div class="panel mb-4">
                    <h2>{{ $assignment->isDiscussion() ? __('discuss.what_is_marked') : 'Handed in' }}{{ $current->late ? ', late' : '' }}</h2>
                    <p class="mt-1">{{ LocalTime::shown($assignment->isDiscussion() ? $current->created_at
                        : $current->received_at) }}, {{ $current->read_at === null
                        ? lcfirst($current->reading()) : number_format($current->words).' words' }}</p>
                    <p class="quiet small break-words">
                        {{ $assignment->isDiscussion() ? __('discuss.what_is_marked_hint') : $current->names() }}{{ $current->handed_in_by === $script->student_id ? ''
                        : ', handed in by '.$current->by->name }}</p>
                    <p class="mt-2"><a href="{{ route('receipts.show',
                        $current) }}">Receipt, and what was read of it</a></p>
                    @can('viewOwnConversation', $script)<p class="mt-1">
                        <a href="{{ route('screen.own-record',
                        $script) }}">Your coordinator wrote to you about it</a></p>@endcan
                    @can('viewOwnOverlap', $script)<p class="mt-1">
                        <a href="{{ route('screen.own', $script) }}">Where your words also stand</a></p>@endcan
                    @if ($script->result === null && ! $script->takesHandIns() && $script->outcomeCase() === null)<p
                        class="mt-2">{{ __('collect.not_out', ['promised' => $assignment->promised_on?->isFuture()
                        ? __('collect.not_out_promised', ['on' => LocalTime::day($assignment->promised_on)]) : '']) }}</p>@endif
                    @foreach ($current->notes as $note)<p class="signal small mt-2">{{ $note }}</p>@endforeach
                </div>
            @endif
            @if ($assignment->isDiscussion() || $assignment->isObserved())
                @if (! $preview && $script === null)<x-empty title="You are not on the list">
                    Ask your module coordinator to add you to this assignment.</x-empty>@endif
                @if (! $preview && $script?->takesSlides())<p class="mb-2">{{ __('observe.student.slides_hint') }}</p>
                    @include('collect.hand-in-form')@endif
            @elseif ($preview)
                <div class="panel"><h2 class="mb-1">Hand in</h2>
                <p>{{ $assignment->max_files === 1 ? 'A file'
                    : 'Up to '.$assignment->max_files.' files' }}: {{ $assignment->kindsInWords() }}, up to {{ $assignment->max_megabytes }}
                    MB{{ $assignment->max_files === 1 ? '' : ' each' }}{{ $assignment->takesTyped()
                        ? ', or text typed here' : '' }}.</p>
                    @if ($assignment->declaration)<p class="mt-2">They declare:</p>
                    <ul class="list-disc ml-5">
                        @foreach ($assignment->declaration as $field)<li>
                        {{ $field['label'] }}{{ $field['required'] ? '' : ' (may be left out)' }}</li>@endforeach
                        </ul>@endif
                    <p class="quiet small mt-1">Students find the form here from the opening time on.</p></div>
            @elseif ($script === null)
                <x-empty title="You are not on the list">
                    Ask your module coordinator to add you to this assignment.</x-empty>
            @elseif ($withMarkers)
                <p class="quiet">Your work is with its markers, so what you handed in counts.</p>
            @elseif (! $script->takesHandIns())
                <x-empty title="Closed">This assignment closed on {{ LocalTime::shown($closes) }}.</x-empty>
            @else
                @include('collect.hand-in-form')
            @endif
            @if (! $preview && $script && $assignment->isOpen() && ! $pastDue && $assignment->self_checks > 0)
                <section class="panel mt-4">
                    <h2 class="mb-1">Check a draft first</h2>
                    <p class="hint mb-2">See what is read of it, whether it names you, and which of its words stand in what others have handed in. It is not handed in, and nobody else sees it.
                    @if ($assignment->first_feedback > 0 && config('harbor.assistant.address') !== ''){{ __('first-feedback.offered') }}@endif</p>
                    @foreach ($drafts as $draft)<p class="small">
                        <a href="{{ route('drafts.show', $draft) }}">Draft of {{ LocalTime::shown(
                        $draft->created_at) }}</a>
                        <span class="quiet">{{ $draft->share === null ? $draft->state->value
                            : $draft->share.' %' }}</span></p>@endforeach
                    @if ($checksLeft === 0)
                        <p class="mt-2">You have used your {{ $assignment->self_checks }}
                        {{ $assignment->self_checks === 1 ? 'check' : 'checks' }}.</p>
                    @else
                        <form class="mt-2" method="post" enctype="multipart/form-data"
                            action="{{ route('drafts.store', $assignment) }}">@csrf
                            <label class="sr-only" for="f-draft">A draft</label>
                            <input class="input" id="f-draft" type="file" name="draft[]"
                                @if ($assignment->max_files > 1) multiple @endif
                                accept="{{ collect($assignment->fileKinds())->map(fn ($kind) => '.'.$kind->value)
                                ->implode(',') }}">
                            @error('draft')<p class="error">{{ $message }}</p>@enderror
                            @if ($assignment->takesTyped())<details class="mt-2">
                                <summary class="small">or paste its text</summary><label class="sr-only"
                                for="f-draft-text">Text of the draft</label><textarea class="input mt-1"
                                id="f-draft-text" name="draft_text" rows="4"></textarea></details>@endif
                            <div class="flex items-baseline justify-between mt-2">
                                <span class="quiet small">{{ $checksLeft === 1 ? 'one check left'
                                : "{$checksLeft} checks left" }}</span><button class="button">Check it</button></div>
                        </form>
                    @endif
                </section>
            @endif
            @if ($script && $script->handins->count() > 1)
                <section class="panel mt-4">
                    <h2 class="mb-1">Your attempts</h2>
                    @foreach ($script->handins as $attempt)
                        <div class="flex flex-wrap items-baseline gap-x-3 py-1">
                            <a href="{{ route('receipts.show', $attempt) }}">Attempt {{ $attempt->attempt }}</a>
                            <span class="quiet small">{{ LocalTime::shown($attempt->received_at) }}{{ $attempt->late
                                ? ', late' : '' }}{{ $attempt->unreadable === null ? ''
                                : ', could not be read' }}</span>
                            @if ($attempt->id === $script->current_handin_id)<b class="kelp ml-auto">counts</b>
                            @elseif ($attempt->unreadable === null && ! $withMarkers
                                && $script->takesHandIns())<form class="ml-auto" method="post"
                                action="{{ route('receipts.choose', $attempt) }}">
                                @csrf<button class="link small">let this one count</button></form>@endif
                        </div>
                    @endforeach
                    <p class="quiet small mt-2">
                        The last one in time counts unless you pick another{{ $withMarkers ? ''
                        : '; you can until a marker has it' }}.</p>
                </section>
            @endif
        </aside>
    </div>
</x-page>

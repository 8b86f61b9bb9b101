@php
    use App\Enums\PeerReviewState;
    use App\Wording\LocalTime;
    use YoungHarbor\Core\Peers\{NamesShown, ReviewedAt, ReviewsSeen};
    $settings = $round->settings;
    $assignment = $round->assignment;
    $due = $own->member?->due_at ?? $round->due_at;
    $handedIn = $own->script?->current_handin_id !== null;
    $all = $own->toWrite->count();
    $written = $own->written();
    $answered = $own->received->whereNotNull('answered_at')->count();
    $steps = array_values(array_filter([
        ['hand-in', __($settings->on === ReviewedAt::Draft ? 'peers.step.draft' : 'peers.step.hand-in'),
            $own->work !== null || $handedIn,
            $settings->on === ReviewedAt::Draft ? 'by '.LocalTime::shown($round->begins_at)
                : 'due '.LocalTime::shown($own->script?->due_at ?? $assignment->due_at)],
        $own->trials !== null && $own->trials->scripts->isNotEmpty()
            ? ['try', __('peers.step.try'), $own->trials->areDone(),
                $own->trials->done().' of '.$own->trials->scripts->count()] : null,
        $settings->self ? ['self', __('peers.step.self'), $own->ownRating?->mark->isDone() === true,
            'by '.LocalTime::shown($due)] : null,
        $settings->peers ? ['review',
            trans_choice('peers.step.review', max($all, $settings->each), ['count' => max($all, $settings->each)]),
            $all > 0 && $written === $all, ($all > 0 ? "{$written} done, " : '').'by '.LocalTime::shown($due)] : null,
        $settings->peers ? ['read', __('peers.step.read'),
            $own->received->isNotEmpty() && $answered === $own->received->count(),
            $own->receivedSeen ? ($own->received->isEmpty() ? 'none is there'
                : "{$answered} of {$own->received->count()} answered")
                : __('peers.seen_when.'.$settings->seen->value)] : null,
    ]));
    $now = collect($steps)->search(fn ($step) => ! $step[2]);
@endphp
<x-page :title="$round->title.': '.$assignment->title" at="modules">
    <x-slot:head><div class="heading"><h1>{{ $round->title }}</h1><a class="of"
        href="{{ route('hand-in.show',
            $assignment) }}">{{ $assignment->title }}, {{ $assignment->module->code }}</a></div></x-slot:head>
    <ol class="steps mb-6" aria-label="Steps of this round">@foreach ($steps as $n => [$key, $name, $done, $when])
        <li @class(['done' => $done, 'now' => $n === $now]) @if ($n === $now) aria-current="step" @endif>
            <svg width="20" height="20" viewBox="0 0 20 20" aria-hidden="true">
                <circle cx="10" cy="10" r="8" fill="{{ $done ? 'var(--deep)' : 'none' }}"
                stroke="var(--deep)" stroke-width="{{ $n === $now ? 3 : 1.5 }}" />
                @if ($done)<path d="M6 10 l3 3 l5 -6" fill="none" stroke="var(--paper)" stroke-width="2" />@endif</svg>
            <span><b>{{ $name }}</b>@if ($done)<span class="sr-only">, done</span>@endif<span
                class="quiet small block">{{ $when }}</span></span></li>
    @endforeach</ol>
    @if ($round->isClosed())<p class="notice mb-4">This round is closed. Everything stays to be read.</p>@endif
    @if ($own->member === null)
        <p class="mb-5 max-w-[44rem]">
            {{ $round->given_at === null
            ? ($handedIn ? __('peers.wait_begin', ['at' => LocalTime::shown($round->begins_at)])
            : __('peers.wait_work')) : __('peers.not_in_round') }}</p>
    @else
        <div class="split"><div class="min-w-0">
        @if ($own->trials->scripts->isNotEmpty())
            <section class="mb-6"><h2 class="mb-2">{{ __('peers.step.try') }}</h2>
                <ul class="sheet px-4 py-2">@foreach ($own->trials->scripts as $trial)
                    @php($tried = $own->trials->marks->get($trial->id))
                    <li class="py-1 flex flex-wrap gap-x-4">
                        <a href="{{ route('trials.show', $trial) }}">{{ $trial->title }}</a>
                        <span class="quiet">{{ $tried?->done_at
                            ? 'yours '.$tried->exactTotal().', staff '.$trial->exactTotal()
                            : ($tried ? 'begun' : 'not begun') }}</span></li>
                @endforeach</ul>
                @if ($own->trials->areDone() && ($near = $own->trials->nearness()) !== null)<p class="mt-2">
                    {{ trans_choice('peers.away_average', $near->off->isEqualTo(1) ? 1 : 2,
                        ['marks' => YoungHarbor\Core\Figures\Figure::shown($near->off, 1)]) }}@if (! $own->trials->isNearEnough())
                    @if ($own->mayReview())Your coordinator lets you review all the same.@else
                    To review, {{ $settings->trialPass }}
                    at most are asked for. Write to your coordinator: they can let you in.@endif @endif</p>@endif
                    </section>
        @endif
        @if ($own->ownRating !== null)
            <section class="mb-6"><h2 class="mb-2">{{ __('peers.step.self') }}</h2>
                <p class="sheet px-4 py-2"><a href="{{ route('peer-reviews.desk', $own->ownRating) }}">Your own work</a>
                <span class="quiet">{{ __('peers.state.'.$own->ownRating->state()->value) }}</span></p></section>
        @endif
        @if ($settings->peers)
            <section class="mb-6"><h2 class="mb-2">What you review</h2>
                @if ($all === 0)<p class="quiet">Nothing for now. You are told when there is something.</p>
                @else<ul class="sheet px-4 py-2">@foreach ($own->toWrite as $one)
                    <li class="py-1 flex flex-wrap gap-x-4 items-baseline">@if ($own->mayReview())<a class="code"
                        href="{{ route('peer-reviews.desk',
                        $one) }}">{{ $one->work->code }}</a>@else<span class="code">{{ $one->work->code }}</span>@endif
                        @if ($settings->names->reviewersSeeAuthors())<span>{{ $one->work->script->names() }}</span>@endif
                        <span class="quiet">{{ __('peers.state.'.$one->state()->value) }}</span>
                        @if ($one->state() !== PeerReviewState::Done && $one->isLate()
                            && ! $round->isClosed())<span class="signal">was due {{ LocalTime::shown(
                            $due) }}; it still helps its author</span>@endif</li>
                @endforeach</ul>
                @unless ($own->mayReview())<p class="mt-2">{{ __($own->waitsForOwn() && $own->trials?->allowReviewing()
                    ? 'peers.self_first' : 'peers.trials_first') }}</p>@endunless @endif
            </section>
            <section class="mb-6" id="received"><h2 class="mb-2">What was said of your work</h2>
                @if (! $own->receivedSeen)<p class="quiet">
                    You can read it {{ __('peers.seen_when.'.$settings->seen->value) }}.</p>
                @elseif ($own->work === null)<p class="quiet">Nothing of yours is reviewed in this round.</p>
                @elseif ($own->received->isEmpty())<p class="quiet">No review of your work is done.</p>
                @else<ul class="sheet px-4 py-2">@foreach ($own->received as $one)
                    <li class="py-1 flex flex-wrap gap-x-4">
                        <a href="{{ route('peer-reviews.show', $one) }}">Review {{ $loop->iteration }}</a>
                        @if ($settings->names->authorsSeeReviewers())<span>{{ $one->member->user->name }}</span>@endif
                        <span class="quiet">{{ $one->answered_at === null ? 'not answered yet'
                            : __("peers.useful.{$one->useful}") }}</span></li>
                @endforeach</ul>@if ($round->answers_due_at !== null && ! $round->isClosed() && $answered < $own->received->count())
                <p class="mt-2">Say how useful each was by {{ LocalTime::shown($round->answers_due_at) }}.</p>@endif
                @endif
                @if ($round->isClosed() && $settings->marksSeen && $own->work?->combined !== null
                    && $own->received->isNotEmpty())
                    <details class="mt-3"><summary>Peers’ marks of your work come to
                    <b>{{ $own->work->combined }}</b></summary>
                    <p class="mt-1">{{ implode('  ',
                        array_map(fn ($one) => $one['mark'].' (weighs '.$one['weight'].')',
                        $own->work->combining ?? [])) }},
                    by {{ __('peers.method.'.$settings->method->value) }}.@if ($settings->share > 0)
                    They are {{ $settings->share }} % of your mark.@endif</p></details>@endif
            </section>
        @endif
        </div>
        <aside class="self-start">
            @if ($settings->peers && $round->isUnderWay())
                <form class="panel mb-4" method="post" action="{{ route('rounds.offer', $round) }}">@csrf
                    <h2 class="mb-1">Review more?</h2>
                    <p class="mb-2">When someone drops out, an author is left without a review. You can offer to stand in.
                    </p>
                    <x-choice name="extra" label="I would review" :value="$own->member->extra"
                        :options="[0 => 'no more than I have to', 1 => 'one more', 2 => 'two more',
                        3 => 'three more']" />
                    <div class="flex justify-end"><button class="button">Save</button></div></form>
            @endif
            @if ($settings->peers && $written > 0)
                <section class="panel mb-4"><h2 class="mb-1">How useful your reviews were</h2>
                    @if ($own->ratings === [])<p class="quiet">Told once three authors have said it.</p>@else
                    <p>{{ count(array_keys($own->ratings, 2, true)) }}
                    useful, {{ count(array_keys($own->ratings, 1, true)) }}
                    in part, {{ count(array_keys($own->ratings, 0, true)) }}
                    not, of {{ count($own->ratings) }}.</p>@endif
                    @if ($own->member->reviewing_mark !== null)<details class="mt-2">
                        <summary>Your mark for reviewing: <b>{{ $own->member->reviewing_mark }}</b></summary>
                        <div class="scroll"><x-working :lines="$own->member->reviewing_working" /></div>
                        @if ($settings->reviewing > 0)<p class="small quiet">It is {{ $settings->reviewing }}
                        % of your mark.</p>@endif</details>@endif</section>
            @endif
            <section class="panel"><h2 class="mb-1">How it works</h2><ul class="list-disc ml-5">
                @if ($settings->peers)<li>
                    {{ $settings->names === NamesShown::Nobodys ? 'Nobody learns whose work it is, or who reviewed it.'
                    : ($settings->names === NamesShown::Authors
                        ? 'You see whose work you review; authors do not see who you are.'
                        : 'Everyone sees who is who.') }} Your coordinators see who reviewed what.</li>@endif
                @if ($settings->leastWords > 0)<li>{{ $settings->leastWords }}
                words or more on each criterion.</li>@endif
                <li>{{ $settings->share > 0 ? "Peers’ marks are {$settings->share} % of the mark."
                    : 'Peers’ marks do not count.' }}
                    {{ $settings->reviewing > 0 ? "Reviewing is {$settings->reviewing} % of your mark." : '' }}</li>
                    </ul></section>
        </aside></div>
    @endif
</x-page>

@php
    use App\Enums\CorrectionState;
    use App\Wording\LocalTime;
@endphp
<x-page :title="'Correction: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Moderate" /></x-slot:head>
    <div class="flex flex-wrap items-baseline gap-x-5 mb-2"><h2>{{ $correction->inWords() }}, {{ $correction->marker?->name
        ?? 'every script' }}</h2><span>{{ __("corrections.state.{$correction->state->value}") }}</span>
        <a class="ml-auto" href="{{ route('corrections.index', $assignment) }}">all corrections</a></div>
    <p class="mb-1">{{ $correction->asker->name }} asked for it {{ LocalTime::shown($correction->created_at) }}: {{ $correction->reason }}</p>
    @if ($correction->decider)<p class="mb-1">{{ $correction->decider->name }} {{ $correction->state === CorrectionState::Refused
        ? 'refused' : 'approved' }} it {{ LocalTime::shown($correction->decided_at) }}{{ $correction->decided_reason === ''
        ? '.' : ": {$correction->decided_reason}" }}</p>@endif
    @if ($correction->taker)<p class="mb-1">{{ $correction->taker->name }} took it back {{ LocalTime::shown($correction->taken_back_at)
        }}: {{ $correction->taken_back_reason }}</p>@endif
    <div class="split mt-4">
        <div class="min-w-0">@include('alike.severity', ['working' => $correction->working])
            @if ($preview)@include('alike.moved')@else<p class="quiet">It moves no mark.</p>@endif</div>
        <aside>
            @if ($correction->state === CorrectionState::Asked)
                @if ($whyNot)<p class="notice">{{ $whyNot }}</p>@else
                    <form class="panel mb-4" method="post" action="{{ route('corrections.update', $correction) }}">@csrf @method('PUT')
                        <h2 class="mb-2">Decide</h2>
                        <input type="hidden" name="digest" value="{{ $preview->digest() }}">
                        <x-field name="reason" label="What you say to it" rows="2" hint="Needed to refuse it." />
                        <div class="flex justify-end gap-2"><button class="button" name="decision" value="refuse">Refuse</button>
                            <button class="button primary" name="decision" value="approve">Approve</button></div>
                    </form>
                @endif
            @endif
            @if ($preview)
                <details class="panel"><summary>Take it back</summary>
                    <form class="mt-2" method="post" action="{{ route('corrections.update', $correction) }}">@csrf @method('PUT')
                        <x-field name="reason" label="Why it is taken back" rows="2" />
                        <div class="flex justify-end"><button class="button" name="decision" value="take-back">Take it back</button></div>
                    </form></details>
            @endif
        </aside>
    </div>
</x-page>

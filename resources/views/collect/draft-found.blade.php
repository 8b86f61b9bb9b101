@php
    use App\Enums\ReportState;
@endphp
<div id="draft" @if ($draft->state->isUnderWay()) class="px-6 py-5" hx-get="{{ route('drafts.show', $draft) }}"
    hx-trigger="every 2s" hx-target="#draft" hx-swap="outerHTML" @endif>
    @if ($draft->state->isUnderWay())
        <div class="panel max-w-2xl" aria-live="polite">
            <p class="font-bold">{{ $draft->files !== null ? 'Being read'
                : ($draft->state === ReportState::Running ? "{$draft->compared} of {$draft->to_compare} compared"
                : 'Waiting to be compared') }}</p>
            <p class="quiet small">@if ($draft->files === null){{ number_format($draft->words) }}
            words were read, {{ App\Wording\LocalTime::shown($draft->created_at) }}.@else
            Sent {{ App\Wording\LocalTime::shown(
                $draft->created_at) }}. You can leave this page; the draft is listed where you hand in.@endif</p>
            @foreach ($draft->notes as $note)<p class="small mt-2">{{ $note }}</p>@endforeach
            <noscript><p class="quiet small">Load this page again in a moment.</p></noscript>
        </div>
    @elseif ($draft->state === ReportState::Failed)
        <div class="px-6 py-5"><div class="panel max-w-2xl">
            <p class="signal font-bold">
            {{ $draft->words === 0 && $draft->failure ? 'This draft could not be read.'
            : 'The comparison failed.' }}</p>
            @if ($draft->words === 0 && $draft->failure)<p class="mt-1">{{ $draft->failure }}</p>@endif
            <p class="quiet small mt-1">
                It does not count among your checks: {{ $left === 1 ? 'one check left'
                : "{$left} checks left" }}. Try again, or hand in without one.</p>
                <p class="mt-3"><a class="button"
                    href="{{ route('hand-in.show', $assignment) }}">Back to handing in</a></p></div></div>
    @else
        @include('collect.first-feedback')
        @include('screen.for-student',
            ['link' => fn (array $query) => route('drafts.show', [$draft, ...$query]), 'draft' => true,
            'draftCheck' => $draft])
    @endif
</div>

@php
    use App\Wording\LocalTime;
    $isOpen = $review->state->isOpen();
@endphp
<x-page :title="__('reviews.title').': '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Release" slim /></x-slot:head>
    <div class="flex flex-wrap items-baseline gap-x-5 mb-4"><h2>{{ __('reviews.title') }}</h2>
        <span>{{ $named ? $script->names() : '' }}
        <span class="code">{{ $named && ! $assignment->namesRevealed() && $coordinates ? ''
            : $script->code }}</span></span>
        <span @class(['quiet' => ! $isOpen, 'signal' => $isOpen && $review->answer_by->isPast()])>{{ __(
            "reviews.state.{$review->state->value}",
            ['by' => LocalTime::day($review->answer_by)]) }}</span>
        @if ($coordinates)<a class="ml-auto"
            href="{{ route('results.show', $review->result) }}">the result</a>@endif</div>
    <div class="split">
        <div class="min-w-0">
            <section class="panel mb-4">
                <p class="quiet small">{{ $review->ground->label() }}, asked for {{ LocalTime::shown(
                $review->created_at) }}</p>
                <p class="whitespace-pre-line mt-1"
                    dir="auto">{{ $named ? $review->text : $review->textWithoutNames() }}</p>
                @if ($review->file_path)
                    @can('readFile', $review)<p class="mt-2">
                        <a href="{{ route('reviews.file', $review) }}">{{ $review->file_name }}</a></p>
                    @else<p class="quiet small mt-2">A file is attached.</p>@endcan
                @endif
                @unless ($named)<p class="quiet small mt-3">{{ __('reviews.masked') }}</p>@endunless</section>
            @if ($review->advised_at)
                <section class="panel mb-4">
                    <p class="quiet small">{{ $review->reader?->name }}
                    found, {{ LocalTime::shown($review->advised_at) }}</p>
                    <p class="whitespace-pre-line mt-1" dir="auto">{{ $review->advice }}</p></section>
            @endif
            @if (! $isOpen)
                <section class="panel mb-4">
                    <p class="quiet small">{{ $review->decider?->name }}, {{ LocalTime::shown($review->decided_at) }}:
                    {{ __("reviews.state.{$review->state->value}") }}</p>
                    <p class="whitespace-pre-line mt-1" dir="auto">{{ $review->answer }}</p></section>
            @elseif ($advises)
                <form class="panel mb-4" method="post" action="{{ route('reviews.update', $review) }}">@csrf
                @method('put')
                    <x-field name="advice" label="What you find" rows="6" :value="$review->advice"
                        hint="The coordinator reads it and decides; the student does not read it." />
                    <div class="flex justify-end">
                        <button class="button primary" name="do" value="advise">Keep it</button></div></form>
            @endif
        </div>
        <aside>
            @if ($isOpen && $coordinates)
                <form class="panel mb-4" method="post" action="{{ route('reviews.update', $review) }}">@csrf
                @method('put')
                    <h2 class="mb-2">Let someone look at it</h2>
                    <x-choice name="with" label="Who" :options="['' => 'Choose'] + $team->mapWithKeys(fn ($one) => [
                        $one->user->public_id => $one->user->name])->all()" :value="$review->reader?->public_id"
                        hint="They see the script code and what was written, without the name until names are revealed." />
                    <div class="flex justify-end">
                        <button class="button" name="do" value="give">Ask them</button></div></form>
                <form class="panel mb-4" method="post" action="{{ route('reviews.update', $review) }}">@csrf
                @method('put')
                    <h2 class="mb-2">The mark stands</h2>
                    <x-field name="answer" label="Your answer" rows="5" hint="The student reads it." />
                    <div class="flex justify-end">
                        <button class="button" name="do" value="stands">Let it stand</button></div></form>
                <div class="panel"><h2 class="mb-2">The mark was wrong</h2>
                    <p class="quiet mb-3">A corrected result takes the place of the one that is out, and answers the review.
                    </p>
                    <div class="flex justify-end"><a class="button" href="{{ route('results.correct', [$review->result,
                        'review' => $review->public_id]) }}">Correct it</a></div></div>
            @endif
        </aside>
    </div>
</x-page>

@php
    use App\Wording\LocalTime;
    $isOpen = $review->state->isOpen();
@endphp
<x-page :title="__('reviews.title').': '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Release" slim /></x-slot:head>
    <div class="flex flex-wrap items-baseline gap-x-5 mb-4"><h2>{{ __('reviews.title') }}</h2>
        <span>{{ $named ? $script->names() : '' }} <span class="code">{{ $script->code }}</span></span>
        <span @class(['quiet' => ! $isOpen, 'signal' => $isOpen && $review->answer_by->isPast()])>{{ __(
            "reviews.state.{$review->state->value}",
            ['by' => LocalTime::day($review->answer_by)]) }}</span>
        @if ($coordinates)<span class="ml-auto flex gap-x-5">
            <a href="{{ route('moderate.show', $script->leadScript()) }}">the marks</a>
            @if ($named)<a href="{{ route('results.show', $review->result) }}">the result</a>@endif</span>@endif</div>
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
                    @else
                        @include('release.attached', ['on' => $review])
                    @can('lookAtFile', $review)<details class="mt-3" @if ($errors->has('reason')) open @endif>
                        <summary class="link small">Open the file as it was attached</summary>
                        <p class="quiet small mt-1">{{ __('reviews.file_names') }}</p>
                        <form class="max-w-96" method="post" action="{{ route('reviews.look', $review) }}">@csrf
                            <x-field name="reason" label="Why you need it" />
                            <button class="button">Open it</button></form></details>
                    @endcan @endcan
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
            <h2 class="mt-6 mb-2">The result it is about, as its student reads it</h2>
            @include('release.result-feedback', [
                'own' => false, 'shown' => $d['points_shown'] ?? true, 'result' => $review->result, 'pages' => null,
            ])
        </div>
        <aside>
            <section class="panel mb-4">
                @if (isset($d['mark']))<div class="big">{{ $d['mark'] }}</div>
                    <p class="mt-2"><b>{{ $d['band'] }}</b> <span class="quiet">{{ $d['band_span'] }}</span></p>
                    <details class="mt-2"><summary class="link">How this number came about</summary>
                        <div class="mt-2"><x-working :lines="$d['working']" />@if ($d['first_working'] !== [])
                            <x-working :lines="$d['first_working']" />@endif</div></details>@endif
                @if ($d['general_comment'] !== '')<h2 class="mt-4 mb-1">In general</h2><div class="said" dir="auto">
                    {!! YoungHarbor\Core\Text\LightMarkup::html($d['general_comment']) !!}</div>@endif</section>
            @if ($isOpen && $coordinates)
                <form class="panel mb-4" method="post" action="{{ route('reviews.update', $review) }}">@csrf
                @method('put')
                    <h2 class="mb-2">Let someone look at it</h2>
                    <x-choice name="with" label="Who" :options="['' => 'Choose'] + $team->mapWithKeys(fn ($one) => [
                        $one->user->public_id => $one->user->name])->all()" :value="$review->reader?->public_id"
                        hint="They see this page under the script code, without the name until names are revealed." />
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
                    @if ($mayCorrect)<div class="flex justify-end"><a class="button"
                        href="{{ route('results.correct', [$review->result, 'review' => $review->public_id]) }}">Correct
                        it</a></div>
                    @else<p class="quiet">You marked this script yourself: let another coordinator correct it.</p>@endif
                    </div>
            @endif
        </aside>
    </div>
</x-page>

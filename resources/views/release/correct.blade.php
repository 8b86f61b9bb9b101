<x-page :title="'Correct a result: '.$assignment->title" at="modules">
    <x-slot:head><div class="heading">
        <h1>Correct a result</h1>@if ($named)<a class="of" href="{{ route('results.show', $result) }}">{{
            $assignment->title }}, the result of {{ $result->script->student->name }}</a>
        @else<span class="of">{{ $assignment->title }}, <span class="code">{{ $result->script->code }}</span></span>
            <a class="ml-auto" href="{{ route('moderate.show', $script) }}">the marks</a>@endif</div></x-slot:head>
    <div class="split">
        <div class="min-w-0">
            <p class="mb-4 max-w-[46rem]">It is out with
            <b>{{ $result->shownMark() ?? 'no mark' }}</b>{{ $result->band ? ", {$result->band}" : '' }},
                agreed {{ $script->settlement->shownMark() }}. A new one takes its place and says what changed; the old one can still be read.
                {{ $script->group_name ? 'It is the work of a group: everyone in it gets the new mark.' : '' }}</p>
            @include('moderate.offer',
                ['action' => route('results.correct.store', $result), 'title' => 'As it is agreed now',
                'button' => 'Release the corrected result', 'corrects' => true])
        </div>
        <aside>
            @if ($review)<section class="panel mb-4"><h2 class="mb-1">{{ __('reviews.title') }}</h2>
                <p class="quiet small">{{ $review->ground->label() }}</p>
                <p class="whitespace-pre-line mt-1" dir="auto">{{ $named ? $review->text
                    : $review->textWithoutNames() }}</p></section>@endif
            <section class="panel"><h2 class="mb-1">How {{ $script->settlement->shownMark() }} came about</h2>
                <x-working :lines="$script->settlement->working" /></section>
        </aside>
    </div>
</x-page>

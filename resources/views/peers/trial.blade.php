@php
    use YoungHarbor\Core\Figures\Figure;
    use YoungHarbor\Core\Rubric\{CommentCriterion, MarkForm};
    $done = $mark?->done_at !== null;
    $off = $done ? $mark->exactTotal()->minus($trial->exactTotal())->abs() : null;
    $choices = $mark?->choices ?? YoungHarbor\Core\Rubric\CriterionMarks::usual();
@endphp
<x-page :title="$trial->title" at="modules">
    <x-slot:head><div class="heading"><h1>{{ $trial->title }}</h1><a class="of"
        href="{{ route('rounds.show', $round) }}">{{ $round->title }}, {{ $round->assignment->title }}</a></div>
        </x-slot:head>
    <div class="split"><article class="text min-w-0 mb-6 whitespace-pre-line" dir="auto">{{ $trial->text }}</article>
    <div class="min-w-0">
    @if ($done)
        <section class="panel mb-4">
            <h2>{{ $mark->exactTotal() }} <span class="quiet font-normal">yours,</span> {{ $trial->exactTotal() }} <span
            class="quiet font-normal">set by staff</span></h2>
            <p class="mt-1">{{ trans_choice('peers.away', $off->isEqualTo(1) ? 1 : 2,
                ['marks' => Figure::plain($off)]) }}</p></section>
        @foreach ($rubric->criteria as $criterion)
            @php
                $own = $choices->on($criterion->id()); $theirs = $trial->choices->on($criterion->id());
                $said = fn ($set) => $set->isUnset() ? 'nothing'
                    : ($criterion instanceof CommentCriterion ? '' : MarkForm::inWords($criterion, $set).($set->notApplicable
                        ? '' : ', '.Figure::plain($criterion->points($set)).' of '.Figure::plain($criterion->max())));
            @endphp
            <section class="sheet px-4 py-3 mb-3"><h3 class="mb-1">{{ $criterion->title() }}</h3>
                @unless ($criterion instanceof CommentCriterion)<p>You: <b>{{ $said($own) }}</b></p>
                <p>Staff: <b>{{ $said($theirs) }}</b></p>@endunless
                @if ($theirs->comment !== '')<p class="mt-1 pl-3 border-l-3 border-rule whitespace-pre-line"
                    dir="auto">{{ $theirs->comment }}</p>@endif</section>
        @endforeach
        <p><a class="button primary" href="{{ route('rounds.show', $round) }}">Go on</a></p>
    @else
        <p class="mb-3">Mark it as you would a peer’s work. When you are done you see what staff set, and why; then it no longer changes.
        </p>
        <form method="post" action="{{ route('trials.update', $trial) }}" data-rails>@csrf @method('put')
            <div class="sheet mb-3">@foreach ($rubric->criteria as $criterion)
                @php($set = $choices->on($criterion->id()))
                <div class="criterion"><fieldset><x-mark-criterion :criterion="$criterion" :set="$set"
                    :prefix="'marks['.$criterion->id().']'" />
                    <label class="sr-only" for="c-{{ $criterion->id() }}">Comment on {{ $criterion->title() }}</label>
                    <textarea class="input mt-1" id="c-{{ $criterion->id() }}"
                        name="marks[{{ $criterion->id() }}][comment]" rows="2" dir="auto"
                        placeholder="comment on {{ Str::lower(
                            $criterion->title()) }}">{{ $set->comment }}</textarea></fieldset></div>
            @endforeach</div>
            <div class="flex justify-end gap-2">
                <button class="button" name="done" value="0">Save and go on later</button>
                <button class="button primary" name="done" value="1">Done</button></div></form>
    @endif
    </div></div>
</x-page>

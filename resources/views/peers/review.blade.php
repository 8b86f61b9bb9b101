@php
    use YoungHarbor\Core\Figures\Figure;
    use YoungHarbor\Core\Rubric\{CommentCriterion, MarkForm};
    use YoungHarbor\Core\Text\LightMarkup;
    $marks = $round->settings->marksSeen;
@endphp
<x-page :title="'A review of your work: '.$round->title" at="modules">
    <x-slot:head><div class="heading"><h1>A review of your work</h1><a class="of"
        href="{{ route('rounds.show', $round) }}">{{ $round->title }}, {{ $round->assignment->title }}</a></div>
        </x-slot:head>
    <div class="split"><div class="min-w-0">
        @if ($round->settings->names->authorsSeeReviewers())<p class="mb-3">By
        <b>{{ $review->member->user->name }}</b></p>@endif
        @if ($earlier)<p class="quiet mb-3">It is of the attempt that was in when reviews were given out, not of your newest.</p>@endif
        @if ($review->mark->general_comment !== '')<section class="panel mb-4">
            <h2 class="mb-1">What you should do next, they say</h2>
            <div class="said" dir="auto">{!! LightMarkup::html($review->mark->general_comment) !!}</div></section>@endif
        @foreach ($rubric->criteria as $criterion)
            @php
                $set = $review->mark->choices->on($criterion->id());
                $points = $set->isUnset() || $set->notApplicable ? null : $criterion->points($set);
            @endphp
            <section class="mb-4"><div class="flex items-baseline gap-2"><h2>{{ $criterion->title() }}</h2>
                @if ($marks && ! $criterion instanceof CommentCriterion)<span class="ml-auto"><b>{{ $points === null
                    ? '' : Figure::plain($points) }}</b> <span
                    class="quiet">of {{ Figure::plain($criterion->max()) }}</span></span>@endif</div>
                @if ($marks && ! $set->isUnset() && ! $criterion instanceof CommentCriterion)<p class="quiet">
                    {{ MarkForm::inWords($criterion, $set) }}</p>@endif
                @if ($set->comment !== '')<div class="said mt-1 pl-3 border-l-4 border-rule"
                    dir="auto">{!! LightMarkup::html($set->comment) !!}</div>@endif</section>
        @endforeach
        @if ($notes !== [])<section class="mb-4"><h2 class="mb-2">On your text</h2>
            <ol class="sheet px-4 py-2">@foreach ($notes as $note)<li class="py-2">
                @if (($note['anchor']['exact'] ?? '') !== '')<p class="quiet font-text small"
                    dir="auto">“{{ Str::limit(Str::squish($note['anchor']['exact']), 240) }}”</p>
                @elseif (isset($note['anchor']['page']))<p class="quiet small">
                    on page {{ $note['anchor']['page'] }}</p>@endif
                <div class="said" dir="auto">{!! LightMarkup::html($note['body']) !!}</div></li>@endforeach</ol>
                </section>@endif
    </div>
    <aside class="self-start">
        <form class="panel mb-4" method="post" action="{{ route('peer-reviews.answer', $review) }}">@csrf @method('put')
            <h2 class="mb-2">Your answer</h2>
            <fieldset class="mb-2"><legend class="label">
                How useful was it?</legend>@foreach ([2, 1, 0] as $useful)<label class="block py-0.5">
                <input type="radio" name="useful" value="{{ $useful }}"
                    @checked((string) old('useful', $review->useful) === (string) $useful)>
                    {{ ucfirst(__("peers.useful.{$useful}")) }}</label>@endforeach
                @error('useful')<p class="error">{{ $message }}</p>@enderror</fieldset>
            <x-field name="answer" label="What will you do with it?" rows="4" maxlength="5000" :value="$review->answer"
                dir="auto" />
            <p class="hint mb-2">The reviewer learns how useful their reviews were once three authors have said so, never who said what. Staff read your answer.
                @if ($round->isClosed())The round is closed: what you answer now is read, and changes no mark.@endif</p>
            <div class="flex justify-end"><button class="button primary">Save</button></div></form>
        @if ($review->flagged_at === null)
        <details class="panel"><summary>Something is wrong with it</summary>
            <form class="mt-2" method="post" action="{{ route('peer-reviews.flag', $review) }}">@csrf
                <fieldset class="mb-2"><legend class="sr-only">
                    What is wrong</legend>@foreach (App\Enums\WhyFlagged::cases() as $why)<label class="block py-0.5">
                    <input type="radio" name="why" value="{{ $why->value }}" @checked(old('why') === $why->value)>
                    {{ ucfirst(__("peers.flag.{$why->value}")) }}</label>@endforeach
                    @error('why')<p class="error">{{ $message }}</p>@enderror</fieldset>
                <x-field name="text" label="In a sentence" rows="3" maxlength="2000" />
                <p class="hint mb-2">Your coordinators are told, and can hide it. The reviewer does not learn that it was you.
                </p>
                <div class="flex justify-end"><button class="button">Tell them</button></div></form></details>
        @else<section class="panel"><h2 class="mb-1">You pointed this out</h2>
        <p>{{ ucfirst(__("peers.flag.{$review->flag_why->value}")) }}.</p>
            <p class="quiet">{{ $review->flag_decided_at === null ? 'Your coordinators have not looked at it yet.'
                : 'They leave it as it is: '.$review->flag_reason }}</p></section>@endif
    </aside></div>
</x-page>

<div id="tried" class="panel" aria-live="polite">
    @foreach ($refused as $why)<p class="error">{{ $why }}</p>@endforeach
    <div class="big">{{ $score->total }}</div>
    <p class="quiet">of {{ YoungHarbor\Core\Figures\Figure::plain($score->outOf) }}{{ $score->isComplete() ? ''
        : ' so far' }}</p>
    @unless ($score->isComplete())<p class="signal small mt-1">
        {{ implode(', ', array_map(fn ($c) => $c->title(), $score->missing())) }} missing</p>@endunless
    <h2 class="mt-4 mb-1">The working</h2>
    <x-working :lines="$working->toArray()" />
</div>

@php
    use App\Wording\LocalTime;
    use YoungHarbor\Core\Figures\Figure;
    use YoungHarbor\Core\Peers\Method;
    use YoungHarbor\Core\Rubric\{CommentCriterion, MarkForm};
    $done = $reviews->filter(fn ($one) => $one->state() === App\Enums\PeerReviewState::Done);
@endphp
<x-page :title="$work->code.': '.$round->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::ShareOut" /></x-slot:head>
    @include('share-out.tabs', ['at' => 'peers'])
    <div class="flex flex-wrap items-baseline gap-x-4 mb-3">
        <h1 class="text-xl!"><span class="code">{{ $work->code }}</span></h1>
        <a href="{{ route('rounds.staff', $round) }}">{{ $round->title }}</a>
        <span class="quiet">{{ number_format($work->handin->words) }} words; to staff it is
        <span class="code">{{ $work->script->code }}</span></span></div>
    @if ($combined !== null)
        <section class="panel mb-5">
            <h2 class="mb-1">Peers’ mark: {{ $combined['combined'] }}@if ($combined['low'] !== null)
            <span class="quiet font-normal">, {{ $combined['low'] }} to {{ $combined['high'] }}
            with 95 % confidence</span>@endif</h2>
            <p class="mb-2">{{ count($combined['combining']) === 1 ? 'One mark' : count($combined['combining']).' marks' }}:
                {{ implode(', ', array_map(fn ($one) => $one['mark'], $combined['combining'])) }}.
                {{ __($round->isClosed() ? 'peers.how_combined' : 'peers.how_combined_now',
                ['method' => __('peers.method.'.$round->settings->method->value)]) }}</p>
            <div class="scroll"><table class="table small"><thead><tr><th>Reviewer</th><th>Mark</th><th>Weighs</th>
                @if ($round->settings->method === Method::Reliability)<th>Marks beside the others</th>
                <th>Spread of their marks</th>@endif</tr></thead>
                <tbody>@foreach ($combined['combining'] as $one)<tr><td class="code">{{ $one['code'] }}</td>
                <td>{{ $one['mark'] }}</td>
                    <td>{{ $one['weight'] }}</td>@if ($round->settings->method === Method::Reliability)
                    <td>{{ $one['bias'] === null ? '' : sprintf('%+.1F', (float) $one['bias']) }}</td>
                    <td>{{ $one['sd'] === null ? '' : '± '.$one['sd'] }}</td>@endif</tr>@endforeach</tbody></table>
                    </div>
            @if ($round->settings->method === Method::Reliability)<p class="hint mt-1">
                Each mark less its reviewer’s own lean, weighed: 1 is the average weight. A lean is
                drawn towards none, and a spread towards everyone’s, the more the fewer reviews someone wrote.</p>@endif
                </section>
    @endif
    @if ($done->isEmpty())<x-empty title="No review is done yet">{{ $reviews->count() }} given out.</x-empty>
    @elseif ($rubric !== null)
        <div class="sheet scroll px-4 mb-5" tabindex="0" role="region" aria-label="Reviews beside each other">
            <table class="table align-top small min-w-[44rem]">
            <thead><tr><th class="w-48"></th>
            @if ($staff)<th>Staff, first mark</th>@endif @foreach ($done as $one)<th class="whitespace-normal!">
                <span class="code">{{ $one->member->code }}</span>@if ($one->hidden_at)<span class="quiet font-normal">
                hidden</span>@endif
                <span class="block quiet font-normal">{{ $one->mark->seconds < 90 ? $one->mark->seconds.' seconds'
                    : round($one->mark->seconds / 60).' minutes' }}{{ $one->isLate() ? ', late' : '' }}</span></th>
                    @endforeach</tr></thead>
            <tbody>
                <tr><td class="font-bold">Total</td>
                @if ($staff)<td class="font-bold">{{ $staff->shownTotal() }}</td>@endif
                    @foreach ($done as $one)<td class="font-bold">{{ $one->mark->shownTotal() }}</td>@endforeach</tr>
                @foreach ($rubric->criteria as $criterion)<tr>
                    <td class="font-bold align-top!">{{ $criterion->title() }}</td>
                    @foreach ([...($staff ? [$staff] : []), ...$done->map(fn ($one) => $one->mark)->all()] as $mark)
                        @php($set = $mark->choices->on($criterion->id()))
                        @php($points = $set->isUnset() || $set->notApplicable ? null : $criterion->points($set))
                        <td class="align-top! whitespace-normal!">
                            @unless ($criterion instanceof CommentCriterion)<b>{{ $points === null ? ''
                            : Figure::plain($points) }}</b>
                            {{ $set->isUnset() ? '' : MarkForm::inWords($criterion, $set) }}@endunless
                            @if ($set->comment !== '')<span class="block whitespace-pre-line quiet"
                                dir="auto">{{ $set->comment }}</span>@endif</td>
                    @endforeach</tr>@endforeach
                <tr><td class="font-bold align-top!">In general</td>
                @if ($staff)<td class="align-top! whitespace-pre-line quiet">{{ $staff->general_comment }}</td>@endif
                    @foreach ($done as $one)<td class="align-top! whitespace-normal!"><span class="whitespace-pre-line"
                        dir="auto">{{ $one->mark->general_comment }}</span></td>@endforeach</tr>
                <tr><td class="font-bold align-top!">The author says</td>@if ($staff)<td></td>@endif
                    @foreach ($done as $one)<td class="align-top! whitespace-normal!">
                        @if ($one->answered_at)<b>{{ __("peers.useful.{$one->useful}") }}</b>
                        <span class="block whitespace-pre-line quiet" dir="auto">{{ $one->answer }}</span>@endif
                        @if ($one->flagged_at)<span class="signal block">{{ __("peers.flag.{$one->flag_why->value}") }}
                        {{ $one->flag_text }}</span>@endif</td>@endforeach</tr>
            </tbody></table></div>
    @endif
</x-page>

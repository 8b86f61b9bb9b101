@use('YoungHarbor\Core\Release\CohortFigures')
@use('YoungHarbor\Core\Stage')
<x-page :title="__('cohort-talk.title').': '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="Stage::Release" slim /></x-slot:head>
    <div class="flex flex-wrap items-baseline gap-x-5 mb-3"><h2>{{ __('cohort-talk.title') }}</h2>
        @if ($figures)<span class="quiet">{{ __('cohort-talk.of', ['count' => $figures->results]) }}</span>@endif
        <a class="ml-auto" href="{{ route('release.index', $assignment) }}">Release</a></div>
    @if ($figures === null)
        <x-empty :title="__('cohort-talk.few', ['least' => CohortFigures::LEAST])">{{
            __('cohort-talk.few_why', ['least' => CohortFigures::LEAST]) }}</x-empty>
    @else
    <div class="split">
        <div class="min-w-0">
            <h3 class="mb-1">{{ __('cohort-talk.criteria') }}</h3>
            <div class="sheet scroll"><table class="table"><thead><tr><th></th>
            <th class="num">{{ __('cohort-talk.mean') }}</th>
                <th class="num">{{ __('cohort-talk.sd') }}</th><th></th></tr></thead>
                <tbody>@foreach ($figures->criteria as $one)<tr><th scope="row">{{ $one['title'] }}</th>
                    <td class="num">{{ number_format($one['mean'], 1) }}</td>
                    <td class="num">{{ number_format($one['sd'], 1) }}</td>
                    <td><svg width="160" height="14" class="block" role="img"
                        aria-label="{{ number_format($one['mean'], 0) }} of 100, most from {{
                        number_format(max(0, $one['mean'] - $one['sd']),
                            0) }} to {{ number_format(min(100, $one['mean'] + $one['sd']), 0) }}">
                        <path d="M0 7 H160" stroke="var(--rule)" /><path stroke="var(--deep)" stroke-width="3"
                        d="M{{ round(1.6 * max(0, $one['mean'] - $one['sd']),
                            1) }} 7 H{{ round(1.6 * min(100, $one['mean'] + $one['sd']), 1) }}" />
                        <circle cx="{{ round(1.6 * $one['mean'], 1) }}" cy="7" r="5" fill="var(--deep)" /></svg></td>
                        </tr>
                @endforeach</tbody></table></div>
            <p class="hint mt-1 mb-5 max-w-[46rem]">{{ __('cohort-talk.criteria_how') }}</p>
            @foreach (['praise', 'fix'] as $kind)
                <h3 class="mb-1">{{ __("cohort-talk.{$kind}") }}</h3>
                @if ($figures->byBank[$kind] === [] && $figures->byCriterion[$kind] === [])<p class="quiet mb-5">{{
                    __('cohort-talk.none') }}</p>
                @else<div class="panel mb-5">
                    @foreach (['by_bank' => $figures->byBank[$kind],
                        'by_criterion' => $figures->byCriterion[$kind]] as $what => $list)
                        @if ($list !== [])<p class="quiet small mt-1">{{ __("cohort-talk.{$what}") }}</p>
                        <ul>@foreach ($list as $one)<li class="py-1 flex gap-3"><span class="grow" dir="auto">{{
                            $bodies[$one['what']] ?? $one['what'] }}</span><span class="quiet whitespace-nowrap">{{
                            $one['students'] === null ? __('cohort-talk.nearly_all')
                            : __('cohort-talk.students', ['count' => $one['students']]) }}</span></li>@endforeach
                            </ul>@endif
                    @endforeach</div>@endif
            @endforeach
            <p class="quiet small max-w-[46rem]">{{ __('cohort-talk.private') }}</p>
        </div>
        <aside><form class="panel" method="post"
            action="{{ route('messages.store', [$assignment, 'show' => 'result']) }}">@csrf
            <h2 class="mb-1">{{ __('cohort-talk.message') }}</h2>
            <p class="quiet small mb-2">{{ __('cohort-talk.message_why') }}</p>
            <x-field name="subject" label="Subject" :value="__('cohort-talk.subject')" maxlength="200" />
            <x-field name="body" label="What they read" rows="18" :value="$draft" />
            <div class="flex justify-end">
                <button class="button primary">{{ __('cohort-talk.preview') }}</button></div></form></aside>
    </div>
    @endif
</x-page>

@use('YoungHarbor\Core\Figures\Figure')
<section class="sheet mb-4 px-5 py-4" id="module-mark"><h2 class="mb-1">{{ __('module-mark.working') }}</h2>
    @if ($own['mark'] === null)<p class="signal">{{ ucfirst($own['why']) }}.</p>
    @else
        <p class="mb-2"><b class="text-2xl">{{ $own['mark']->mark }}</b> {{ $own['band'] }}
            @if (! $own['mark']->isComplete())<span class="quiet">{{ __('module-mark.not_complete') }}</span>
            @elseif (! $own['mark']->passed)<span class="signal">{{ __('grade-book.not_passed') }}</span>@endif
            @foreach ($own['must'] as $one)<span class="signal small">{{ $one }}</span>@endforeach</p>
        <svg viewBox="0 0 604 30" class="module-bar mb-2" role="img"
            aria-label="{{ __('module-mark.bar', ['mark' => $own['mark']->mark]) }}">
            @foreach ($own['bar'] as $n => $one)<rect x="{{ round(2 + 6 * $one['x'], 2) }}" y="8" height="14"
                width="{{ round(max(1, 6 * $one['width'] - 1.5), 2) }}" class="{{ $one['missing'] ? 'open' : 'part' }}">
                <title>{{
                $one['title'] }}</title></rect>@endforeach
            <path d="M2 26 H602" class="axis" />
            @foreach ($own['ticks'] as $tick)<path d="M{{ 2 + 6 * $tick }} 4 V29" class="tick" />@endforeach
            <path d="M{{ 2 + 6 * (float) (string) $module->mark_plan->pass }} 2 V29" class="pass" /></svg>
        <details class="mb-2"><summary class="link">How this number came about</summary><div class="mt-2 scroll">
            <x-working :lines="$own['mark']->working()->toArray()" /></div>
            <p class="mt-1"><a class="small"
                href="{{ route('module-plan.edit', $module) }}">{{ __('module-mark.link') }}</a></p></details>
        @if ($own['isOpen'])<form class="flex flex-wrap items-baseline gap-2" method="get"
            action="{{ route('members.show', $member) }}#module-mark">
            <label for="f-target">What is still needed for a</label><input class="input w-20!" id="f-target"
                name="target" inputmode="decimal"
                value="{{ $own['target'] }}"><button class="button">Show</button>
            <span role="status">{{ $own['needed'] }}</span></form>@endif
    @endif
    <p class="quiet small mt-2">{{ __('module-mark.only_released') }}</p></section>

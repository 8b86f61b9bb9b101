@php($d = $document)
@php($waits = $own && $result !== null && $result->holdsMarkBack())
@php($shown = ($d['points_shown'] ?? true) && ! $waits)
<x-page :title="'Result: '.$assignment->title" :at="$own ? 'today' : 'grade-book'">
    <x-slot:head>
        <div class="heading"><h1>
            {{ $assignment->title }}</h1><span class="of">{{ $result === null
                ? "as the student of {$code} would see it, not released"
            : ($own ? 'your result' : 'result of '.$result->script->student->name).', released '.App\Wording\LocalTime::shown(
            $result->released_at) }}</span>@if ($result !== null)
            @if (! $own && $words && $result->replaced_at === null && isset($d['handin']))
                @can('correct', $result)<a class="ml-auto no-print"
                href="{{ route('results.correct', $result) }}">correct it</a>@endcan @endif
            @if ($words)<a class="{{ $own ? 'ml-auto' : '' }} no-print" href="{{ route('results.pdf', $result) }}">{{
            __('release.as_pdf') }}</a>@endif @endif</div>
    </x-slot:head>
    @if ($result === null && $assignment->leavesOutWhatIsKnownByName())<p class="notice mb-4">
        {{ __('contribution.left_out') }}</p>@endif
    @unless ($words)<p class="notice mb-4">{{ __('release.words_wait') }}
        <a href="{{ route('release.index', $assignment) }}">Release, by script code</a></p>@endunless
    @if ($result?->replaced_at !== null)
        <p class="notice mb-4">{{ __('release.replaced',
            ['at' => App\Wording\LocalTime::shown($result->replaced_at)]) }}
            <a href="{{ route('results.show', $result->script->result) }}">The result that holds</a></p>
    @elseif ($result !== null && $result->what_changed !== '' && ! $waits)
        <p class="notice mb-4"><b>{{ __('release.what_changed') }}</b> {{ $result->what_changed }}
            @foreach ($earlier as $one)<a href="{{ route('results.show', $one) }}">{{ __('release.as_of', [
                'at' => App\Wording\LocalTime::shown($one->released_at)]) }}</a>@endforeach</p>
    @endif
    @if ($result?->isProvisional())
        <p class="notice mb-4"><b>{{ __('release.is_provisional') }}</b> {{ __('release.is_provisional_why') }}</p>
    @elseif ($result?->confirmed_at !== null)
        <p class="quiet small mb-3">
            {{ __('release.is_confirmed', ['at' => App\Wording\LocalTime::shown($result->confirmed_at)]) }}</p>
    @endif
    <div class="split" @if ($own) data-reading="{{ route('results.reading', $result) }}"
        data-every="{{ App\Actions\Release\RecordReadingTime::EVERY }}" @endif>
        <aside class="lg:order-2">
            <div class="panel">
                @if ($waits)
                    @php($after = $assignment->release->reflection->markAfter)
                    <p>{{ __("release.mark_waits.{$after->value}",
                        ['until' => App\Wording\LocalTime::shown($result->reflectionUntil())]) }}</p>
                    @if ($after === YoungHarbor\Core\Release\MarkAfter::Opened)<form class="mt-3" method="post"
                        action="{{ route('results.mark', $result) }}">
                            @csrf<button class="button">{{ __('release.show_mark') }}</button></form>
                    @else<p class="mt-2"><a href="#reflection">{{ __('release.reflection') }}</a></p>@endif
                @elseif (isset($d['mark']))
                    <div class="big">{{ $d['mark'] }}</div>
                    <p class="mt-2"><b>{{ $d['band'] }}</b> <span class="quiet">{{ $d['band_span'] }}</span></p>
                @else
                    <h2>Feedback without a mark</h2>
                @endif
                @if (($d['group'] ?? null) && $result !== null)<p class="quiet small">
                    handed in together: {{ $d['group'] }}</p>@endif
                @if ($d['late'])<p class="quiet small">handed in late</p>@endif
                @if (isset($d['mark']) && ! $waits)<details class="mt-2">
                    <summary class="link">How this number came about</summary>
                    <div class="mt-2"><x-working :lines="$d['working']" />
                    @if ($d['first_working'] !== [])<p class="quiet small mt-3">
                        {{ __('release.levels_of.'.($d['levels_of'] ?? 'first')) }}</p><x-working
                        :lines="$d['first_working']" />@endif</div>
                </details>@endif
                @includeWhen(isset($d['mark']) && ! $waits && $lie !== null, 'release.shared-marks')
                @if ($d['general_comment'] !== '')
                    <hr class="border-rule my-4">
                    <h2 class="mb-1">In general</h2>
                    <div class="said" dir="auto">
                        {!! YoungHarbor\Core\Text\LightMarkup::html($d['general_comment']) !!}</div>
                @endif
                @foreach ($d['attachments'] ?? [] as $one)
                    <div class="mt-3"><p class="small">
                        <b>{{ $one['kind'] === 'file' ? 'attached' : $one['kind'] }}</b>@if ($one['criterion'])
                        · {{ $one['criterion'] }}@endif
                        @if ($one['kind'] === 'file')<a href="{{ route('attachments.show',
                            $one['id']) }}">{{ $one['name'] }}</a>@endif</p>
                        @if ($one['kind'] === 'voice')<audio class="w-full" controls data-speed preload="none"
                            src="{{ route('attachments.show',
                            $one['id']) }}"></audio>@elseif ($one['kind'] === 'video')<video class="w-full" controls data-speed
                            preload="none" src="{{ route('attachments.show', $one['id']) }}"></video>@endif
                        @if ($one['written'] !== '')<p class="small whitespace-pre-line"
                            dir="auto">{{ $one['written'] }}</p>@endif</div>
                @endforeach
                @if ($d['two_marks'])<p class="quiet small mt-4">
                    {{ __('release.second_view.'.($d['second_view'] ?? 'blind')) }}
                    {{ __('release.whose_levels.'.($d['whose'] ?? $d['levels_of'] ?? 'first')) }}</p>@endif
            </div>
            @if ($result !== null)@include('release.review-panel')@endif
        </aside>
        <div class="lg:order-1 min-w-0">
            @includeWhen(($records ?? []) !== [], 'observe.record')
            @include('release.result-feedback')
            @if ($own)<section class="panel no-print"
                id="whole">@include('release.own-thread', ['about' => 'whole'])</section>@endif
            @if ($own && ($besideOwn ?? null) !== null)@include('release.own-ratings', ['beside' => $besideOwn])@endif
            @if ($own)@include('release.reflection')@endif
            @include('release.read-record')
        </div>
    </div>
</x-page>

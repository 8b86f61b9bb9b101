{{-- What a student would read with an offered mark. --}}
<div class="panel" role="region" aria-label="What the student would see">
    <p class="quiet small mb-1">What the student would see</p>
    {{-- Markers learn nothing of when work came in: what late or long work costs comes off at release. --}}
    <p><b class="text-2xl">{{ YoungHarbor\Core\Figures\Figure::plain($offer->mark) }}</b></p>
    <x-working :lines="$working" />
    <p class="hint">Should late or long work cost marks here, that comes off at release.</p>
    @if ($d['general_comment'] !== '')<h3 class="mt-3">In general</h3><div class="said" dir="auto">
        {!! YoungHarbor\Core\Text\LightMarkup::html($d['general_comment']) !!}</div>@endif
    @foreach ($d['criteria'] as $criterion)
        <h3 class="mt-3">{{ $criterion['title'] }}@if ($criterion['points'] !== null && $d['points_shown'])
            <span class="quiet font-normal">{{ $criterion['points'] }} of {{ $criterion['max'] }}</span>@endif</h3>
        @foreach ($criterion['levels'] as $level)@if ($level['reached'])<p>
            <b>{{ $criterion['between'] ? 'between '.$level['title'].' and the next' : $level['title'] }}</b>
            <span class="quiet small">{{ $level['descriptor'] }}</span></p>@endif @endforeach
        @if ($criterion['comment'] !== '')<div class="said" dir="auto">
            {!! YoungHarbor\Core\Text\LightMarkup::html($criterion['comment']) !!}</div>@endif
    @endforeach
    <p class="mt-3 small">{{ trans_choice('moderate.comments_go_out', count($d['comments']),
        ['whose' => implode(', ', array_map(fn ($seat) => __("mark.seat.{$seat}"), $d['said_by']))]) }}</p>
    @if ($d['comments'] !== [])<ol class="small">@foreach ($d['comments'] as $one)<li class="py-1">
        <b>{{ $one['number'] }} {{ $one['kind'] }}</b> <span class="quiet" dir="auto">{{ $one['quote'] === null
        ? 'page '.$one['page'] : '“'.Str::limit(Str::squish($one['quote']), 90).'”' }}</span>
        <span class="block whitespace-pre-line" dir="auto">{{ $one['body'] }}</span></li>@endforeach</ol>@endif
</div>

@props(['arrivals'])
@php
    $n = count($arrivals->bars);
    $w = max(6, min(22, intdiv(620, $n)));
    $most = max(1, ...$arrivals->bars);
    $x = fn (float $bar) => round(4 + $bar * $w, 1);
    $label = fn (int $at) => Illuminate\Support\Carbon::createFromTimestamp($at, 'UTC')
        ->setTimezone(App\Wording\LocalTime::zone())->format('D j M H:i');
    $start = $label($arrivals->from);
    $dueX = $x($arrivals->due);
    $wide = max($n * $w + 8, $dueX + 60);
@endphp
<svg class="shrink-0" width="{{ $wide }}" height="104" viewBox="0 0 {{ $wide }} 104" role="img"
    aria-label="Hand-ins by time: {{ collect($arrivals->bars)
    ->map(fn ($bar, $k) => $bar > 0 ? $bar.' from '.$label($arrivals->from + $k * $arrivals->span) : null)->filter()
    ->implode(', ') }}">
    @foreach ($arrivals->bars as $k => $bar)
        @if ($bar > 0)
            <rect x="{{ $x($k) + 0.5 }}" y="{{ round(80 - 58 * $bar / $most, 1) }}" width="{{ $w - 2 }}"
                height="{{ round(58 * $bar / $most, 1) }}" @if ($k < $arrivals->due) fill="var(--deep)" @else
                fill="none" stroke="var(--signal)" stroke-width="1.5" @endif />
            @if ($w >= 12 || $bar === $most)<text x="{{ $x($k) + $w / 2 }}" y="{{ round(76 - 58 * $bar / $most, 1) }}"
                text-anchor="middle" font-size="11" fill="var(--quiet)">{{ $bar }}</text>@endif
        @endif
    @endforeach
    <line x1="0" y1="80.5" x2="{{ $n * $w + 8 }}" y2="80.5" stroke="var(--quiet)" />
    <line x1="{{ $dueX }}" y1="2" x2="{{ $dueX }}" y2="86" stroke="var(--ink)" stroke-width="1.5" />
    <text x="{{ $dueX + 5 }}" y="12" font-size="12" fill="var(--ink)">due</text>
    @if ($dueX > 150)<text x="2" y="98" font-size="11.5" fill="var(--quiet)">{{ $start }}</text>@endif
    <text x="{{ $dueX }}" y="98" font-size="11.5" fill="var(--quiet)"
        text-anchor="{{ $dueX > 60 ? 'middle'
        : 'start' }}">{{ $label($arrivals->from + $arrivals->due * $arrivals->span) }}</text>
</svg>

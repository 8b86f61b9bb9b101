<!DOCTYPE html>
<html lang="en"><head><meta charset="utf-8"><style>
    body { font-family: 'DejaVu Serif', serif; font-size: 10pt; line-height: 1.4; }
    h1 { font-size: 15pt; } h2 { font-size: 12pt; } h3 { font-size: 10.5pt; margin-bottom: 2pt; }
    table { border-collapse: collapse; width: 100%; }
    td, th { border-bottom: 0.5pt solid #999; padding: 3pt; text-align: left;
        vertical-align: top; }
    .quiet { color: #555; } .mono { font-family: 'DejaVu Sans Mono', monospace; }
</style></head><body>
<h1 class="mono">{{ $d['code'] }}</h1>
<p>Agreed {{ $d['agreed'] }}, {{ $d['band'] }}. {{ number_format((int) $d['words']) }} words.</p>
<h2>How {{ $d['agreed'] }} came about</h2>
<table>@foreach ($d['working'] as $line)<tr><td>{{ $line['what'] }}</td><td>{{ $line['how'] }}</td>
<td>{{ $line['result'] }}</td></tr>
@endforeach</table>
@foreach ($d['marks'] as $mark)
    <h2>{{ ucfirst(__("mark.seat.{$mark['seat']}")) }}, {{ $mark['total'] }}, marker {{ $mark['marker'] }}</h2>
    <table>@foreach ($mark['criteria'] as $criterion)<tr><td>{{ $criterion['title'] }}</td>
    <td>{{ $criterion['points'] ?? '–' }}
        of {{ $criterion['max'] }}</td>
        <td>{{ $criterion['said'] }}{{ $criterion['said'] !== ''
            && $criterion['comment'] !== '' ? ': ' : '' }}{{ $criterion['comment'] }}</td></tr>@endforeach</table>
    @if ($mark['general'] !== '')<p>{!! nl2br(e($mark['general'])) !!}</p>@endif
    @if ($mark['reason'] !== '')<p>{!! nl2br(e($mark['reason'])) !!}</p>@endif
    @foreach ($mark['comments'] as $n => $note)<p>{{ $n + 1 }}. <span class="quiet">{{ $note['quote'] === null
        ? 'page '.$note['page'] : '“'.Str::limit(Str::squish($note['quote']), 140).'”' }}</span>
        {{ $note['body'] }}</p>@endforeach
@endforeach
<h2>The text, as markers read it</h2>
{!! $d['text'] !!}
</body></html>

<!DOCTYPE html>
<html lang="en"><head><meta charset="utf-8"><style>
    body { font-family: 'DejaVu Serif', serif; font-size: 10pt; line-height: 1.4; }
    h1 { font-size: 15pt; } h2 { font-size: 12pt; } h3 { font-size: 10.5pt; margin-bottom: 2pt; }
    table { border-collapse: collapse; width: 100%; }
    td, th { border-bottom: 0.5pt solid #999; padding: 3pt; text-align: left;
        vertical-align: top; }
    .quiet { color: #555; } .mono { font-family: 'DejaVu Sans Mono', monospace; }
</style></head><body>
<h1>{{ $d['title'] ?? '' }}</h1>
<p>{{ $d['module'] ?? '' }}. Sample pack for {{ $pack->person->name }}, {{ __(
    "moderate.reader.{$pack->reader->value}") }}, sent {{
    App\Wording\LocalTime::shown($pack->sent_at) }}{{ $pack->signed_at
        ? ', signed '.App\Wording\LocalTime::shown($pack->signed_at)
    : ', not signed' }}.</p>
<p class="quiet">It holds no name of a student, no lateness and no allowance; markers are letters.{{ $pack->recordings
    ? ''
    : ' Voice and video, which identify people, are left out.' }}</p>
@if ($pack->statement !== '')<h2>Statement</h2><p>{!! nl2br(e($pack->statement)) !!}</p>@endif
<h2>Brief</h2><p>{!! nl2br(e($d['brief'] ?? '')) !!}</p>
<h2>How marks settle</h2><p>{{ ucfirst($d['scheme'] ?? '') }}.</p>
<h2>Rubric</h2>
@foreach ($d['rubric']['criteria'] ?? [] as $criterion)
    <h3>{{ $criterion['title'] ?? '' }}@if (($criterion['weight'] ?? '') !== ''), {{ $criterion['weight'] }}
    %@endif</h3>
    <p>{{ $criterion['purpose'] ?? '' }}</p>
    @if (is_array($criterion['descriptors'] ?? null))<table>@foreach ($d['rubric']['levels'] ?? [] as $level)<tr><td>{{
        $level['title'] }}, {{ $level['points'] }}</td><td>{{ $criterion['descriptors'][$level['id']] ?? '' }}</td></tr>
        @endforeach</table>@endif
@endforeach
<h2>How marks are spread</h2>
<table>@foreach ($d['bands'] ?? [] as $band)<tr><td>{{ $band['name'] }}, from {{ $band['from'] }}</td>
<td>{{ $band['scripts'] }}</td>
    </tr>@endforeach</table>
<p>{{ trans_choice('moderate.pack_spread', $d['agreed'] ?? 0,
    ['count' => $d['agreed'] ?? 0, 'all' => $d['handed_in'] ?? 0,
    'mean' => $d['mean'] ?? '–']) }}</p>
<h2>The scripts</h2>
<table><tr><th>Script</th><th>First</th><th>Second</th><th>Third</th><th>Agreed</th><th>Band</th><th>In it for</th></tr>
    @foreach ($scripts as $one)<tr><td class="mono">{{ $one->script->code }}</td>@foreach ([0, 1, 2] as $n)<td>{{
        $one->document['marks'][$n]['total'] ?? '–' }}</td>@endforeach<td>{{ $one->document['agreed'] }}</td>
        <td>{{ $one->document['band'] }}</td>
        <td>{{ App\Wording\SampleWords::keys($one->reasons) }}</td></tr>@endforeach</table>
</body></html>

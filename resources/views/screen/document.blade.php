@php
    use App\Wording\LocalTime;
    use App\Wording\OverlapWords;
    $figures = $reading['figures'];
@endphp
<!DOCTYPE html>
<html lang="en"><head><meta charset="utf-8"><title>Overlap report {{ $script->code }}</title>
<style>
    body { font-family: 'DejaVu Sans', sans-serif; font-size: 9.5pt; color: #14233A; line-height: 1.45; }
    h1 { font-size: 15pt; margin: 0 0 2pt; } h2 { font-size: 11.5pt; margin: 14pt 0 4pt; }
    .quiet { color: #4B5A6E; }
table { width: 100%; border-collapse: collapse; }
td, th { text-align: left; vertical-align: top; padding: 3pt 6pt; border-bottom: 0.5pt solid #CFD6DD; }
.num { text-align: right; white-space: nowrap; }
    .pair td { width: 50%; font-size: 8.5pt; } .pair { page-break-inside: auto; margin-bottom: 8pt; } .letter { font-weight: bold; }
    .same { text-decoration: underline; } .left { color: #4B5A6E; } .script { font-size: 9pt; white-space: pre-line; }
</style></head><body>
<h1>Overlap report {{ $script->code }}</h1>
<p class="quiet">{{ $assignment->title }} · {{ $assignment->module->fullTitle() }}
· {{ config('harbor.institution') }}<br>Printed {{ LocalTime::shown(now()) }}</p>
<p><b>{{ $figures->report->share() }} %</b> {{ OverlapWords::sum($figures) }} {{ OverlapWords::leftOut($figures) }}
{{ OverlapWords::close($figures) }}</p>
<p class="quiet">It shows where words of this text also stand. What that means, people decide: quoted and cited words are normal, and nearly every honest essay shares some. Lines to look at: from {{ $assignment->screening->look->toFloat() }}
%, closely from {{ $assignment->screening->lookClosely->toFloat() }}
%. Passages of {{ $assignment->screening->minWords }} words or more.@if ($report->web_failure)
Open web: {{ $report->web_failure }}@endif</p>
@foreach ($reading['hiding'] as $one)<p>
    <b>{{ Str::ucfirst($one['kind']) }}</b>: {{ $one['note'] !== '' ? $one['note']
    : $one['words'].' words, '.($one['times'] === 1 ? 'one place'
    : $one['times'].' places') }}@if ($one['example'] !== ''), such as “{{ $one['example'] }}”@endif</p>@endforeach
<h2>Sources</h2>
@if ($reading['sources'] === [])<p>None.</p>@else
<table><thead><tr><th></th><th>Source</th><th class="num">Words</th><th class="num">Share</th>
<th class="num">Passages</th></tr></thead><tbody>
@foreach ($reading['sources'] as $one)<tr><td class="letter">{{ $one['letter'] }}</td>
<td>{{ $one['label'] }}<br><span class="quiet">{{ $one['where'] }}@if ($one['url'])
· {{ $one['url'] }}@endif</span></td><td class="num">{{ number_format($one['words']) }}</td>
<td class="num">{{ $one['share'] }} %</td>
<td class="num">{{ $one['runs'] }}{{ $one['close'] > 0 ? " + {$one['close']} close" : '' }}</td></tr>@endforeach
<tr><td></td><td>Together, no word counted twice</td>
<td class="num"><b>{{ number_format($figures->report->matched()) }}</b></td>
<td class="num"><b>{{ $figures->report->share() }} %</b></td>
<td class="num">{{ count($figures->report->runs) }}{{ $figures->close === [] ? ''
    : ' + '.count($figures->close).' close' }}</td></tr>
</tbody></table>@endif
@if ($choices->isNotEmpty())
<h2>Chosen on this report</h2>
@foreach ($choices as $choice)<p>
    {{ $choice->leave_out ? 'Left out' : 'Counted' }}: {{ $choice->what->value }}@if ($choice->from_word !== null)
    ({{ $choice->to_word === null ? "under {$choice->from_word} words"
        : 'words '.($choice->from_word + 1)." to {$choice->to_word}" }})@endif @if ($choice->source)
        ({{ OverlapWords::source($choice->source, $script, $reader) }})@endif
        “{{ $choice->reason }}”, {{ $choice->by->name }}, {{ LocalTime::shown($choice->created_at) }}</p>@endforeach
@endif
@if ($reading['runs'] !== [])
<h2>Passages</h2>
@foreach ($reading['runs'] as $n => $run)
<table class="pair"><thead><tr>
    <th>Passage {{ $run['number'] }}: words {{ number_format($run['from'] + 1) }}
    to {{ number_format($run['to']) }}, {{ $run['words'] }}
    {{ $run['kind'] === 'close' ? 'in common (close wording)' : 'identical' }}</th>
    <th>Source {{ $run['letter'] }}: {{ $reading['sources'][$run['source']]['label'] }}</th></tr></thead>
<tbody><tr><td>{{ Str::limit($there[$n]['here'], 4000) }}</td>
<td>{{ $reading['sources'][$run['source']]['readable'] ? Str::limit($there[$n]['there'], 4000)
    : 'Read by coordinators only.' }}</td></tr></tbody></table>
@endforeach
@endif
@if ($entries->isNotEmpty())
<h2>Conversation record</h2>
@foreach ($entries as $entry)<p><b>{{ Str::ucfirst($entry->found->short()) }}</b>
<span class="quiet">{{ $entry->by->name }}, {{ LocalTime::shown(
    $entry->created_at) }}</span><br>{{ $entry->why }}</p>@endforeach
@endif
@if ($figures->words <= 20000)
<h2>The script</h2>
<div class="script">@foreach ($reading['script'] as $part){!! $part['same']
    ? '<span class="same">'.e($part['text']).'</span>'
    : ($part['left'] !== '' && $part['run'] === 0 ? '<span class="left">'.e($part['text']).'</span>'
    : e($part['text'])) !!}@endforeach</div>
@else
<p class="quiet">The script has {{ number_format($figures->words) }}
words and is not printed in full; every run of it is above.</p>
@endif
</body></html>

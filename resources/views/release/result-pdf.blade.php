@php
    use App\Wording\LocalTime;
    use YoungHarbor\Core\Text\LightMarkup;
    $shown = $d['points_shown'] ?? true;
@endphp
<!DOCTYPE html>
<html lang="en"><head><meta charset="utf-8"><meta http-equiv="Content-Security-Policy"
    content="default-src 'none'; style-src 'unsafe-inline'; img-src data:">
    <title>{{ $assignment->title }}: result of {{ $student->name }}</title><style>
    @page { size: A4; margin: 18mm 17mm; }
    body { font-family: 'DejaVu Sans', sans-serif; font-size: 9.5pt; line-height: 1.45; color: #14233a; }
    h1 { font-size: 16pt; margin: 0 0 2pt; }
    h2 { font-size: 12pt; margin: 14pt 0 3pt; } h3 { font-size: 10.5pt; margin: 9pt 0 2pt; }
    p { margin: 0 0 4pt; } .quiet { color: #555; } .small { font-size: 8.5pt; } .big { font-size: 26pt; font-weight: bold; margin: 8pt 0 0; }
    table { border-collapse: collapse; width: 100%; }
    td, th { border-bottom: 0.5pt solid #999; padding: 3pt 5pt 3pt 0; text-align: left; vertical-align: top; }
    .yours { font-weight: bold; } .note { border-left: 2pt solid #8895a7; padding-left: 7pt; margin: 3pt 0 7pt; }
    .text { font-family: 'DejaVu Serif', serif; } mark { background: none; color: inherit; text-decoration: underline; }
    .text a { color: inherit; text-decoration: none; }
    .place-number { font: bold 7.5pt 'DejaVu Sans', sans-serif; border: 0.5pt solid #555; padding: 0 2pt; }
</style></head><body>
<h1>{{ $assignment->title }}</h1>
<p>{{ $assignment->module->fullTitle() }}, {{ config('harbor.institution') }}</p>
<p>Result of <b>{{ $student->name }}</b>{{ $student->number ? " ({$student->number})"
    : '' }}, released {{ LocalTime::shown($result->released_at) }}.
    @if ($result->isProvisional())<b>{{ __('release.is_provisional') }}</b> {{ __('release.is_provisional_why') }}
    @elseif ($result->confirmed_at){{ __('release.is_confirmed',
        ['at' => LocalTime::shown($result->confirmed_at)]) }}@endif</p>
@if ($result->what_changed !== '')<p><b>{{ __('release.what_changed') }}</b> {{ $result->what_changed }}</p>@endif
@isset($d['mark'])
    <p class="big">{{ $d['mark'] }}</p><p><b>{{ $d['band'] }}</b> {{ $d['band_span'] }}</p>
    @if ($d['late'])<p>handed in late</p>@endif
    <h2>How this number came about</h2>
    <table>@foreach ($d['working'] as $line)<tr><td>{{ $line['what'] }}</td><td>{{ $line['how'] }}</td>
    <td>{{ $line['result'] }}</td></tr>@endforeach</table>
    @if ($d['first_working'] !== [])<p class="quiet small">
        {{ __('release.levels_of.'.($d['levels_of'] ?? 'first')) }}</p>
        <table>@foreach ($d['first_working'] as $line)<tr><td>{{ $line['what'] }}</td><td>{{ $line['how'] }}</td>
        <td>{{ $line['result'] }}</td></tr>@endforeach</table>@endif
@else<h2>Feedback without a mark</h2>@endisset
@if ($d['general_comment'] !== '')<h2>In general</h2>{!! LightMarkup::html($d['general_comment']) !!}@endif
@foreach ($d['attachments'] ?? [] as $one)@if ($one['written'] !== '')<h3>
    {{ ucfirst($one['kind']) }}{{ $one['criterion'] ? ", {$one['criterion']}" : '' }}, in writing</h3>
    <p>{!! nl2br(e($one['written'])) !!}</p>@endif @endforeach
@if ($d['two_marks'])<p class="quiet small">{{ __('release.second_view.'.($d['second_view'] ?? 'blind')) }}
    {{ __('release.whose_levels.'.($d['whose'] ?? $d['levels_of'] ?? 'first')) }}</p>@endif
<h2>Criterion by criterion</h2>
@foreach ($d['criteria'] as $criterion)
    <h3>{{ $criterion['title'] }}{{ $criterion['weight'] ? ", {$criterion['weight']} % of the mark"
        : '' }}{{ ! $criterion['applies']
        ? ', does not apply to your work'
            : ($criterion['points'] !== null && $shown ? ": {$criterion['points']} of {$criterion['max']}" : '') }}</h3>
    @foreach ($criterion['levels'] as $level)@if ($level['reached'])<p class="yours">{{ $criterion['between']
        ? 'Yours: between this level and the next.' : 'Yours.' }}
        {{ $level['title'] }}{{ $shown ? ' · '.$level['points'] : '' }}</p><p>{{ $level['descriptor'] }}</p>
        @if ($level['guidance'] !== '')<p>To reach the next level: {{ $level['guidance'] }}</p>@endif @endif @endforeach
    @foreach ($criterion['steps'] ?? [] as $step)<p>{{ $step['title'] }}: <b>{{ $step['state'] }}</b></p>@endforeach
    @if ($criterion['comment'] !== '')<div class="note">{!! LightMarkup::html($criterion['comment']) !!}</div>@endif
@endforeach
@if (($d['comments'] ?? []) !== [])
    <h2>Comments on your text</h2>
    <ol style="list-style: none; padding: 0">
        @foreach ($d['comments'] as $one)<li class="note"><b>{{ $one['number'] }}
        {{ $one['kind'] }}</b>{{ $one['starred'] ? ', start here'
        : '' }}{{ $one['criterion'] ? " · {$one['criterion']}" : '' }}{{ $one['page'] ? " · page {$one['page']}" : '' }}
        @if ($one['quote'])<div class="quiet small">“{{ Str::limit(Str::squish($one['quote']), 240) }}”</div>@endif
        {!! LightMarkup::html($one['body']) !!}</li>@endforeach</ol>
@endif
@if ($text !== null)
    <h2>Your text</h2>
    <div class="text" dir="auto">@foreach ($text->blocks as $block){!! $block['html'] !!}@endforeach</div>
@endif
@unless ($isTagged)<p class="quiet small">{{ __('release.pdf_untagged') }}</p>@endunless
</body></html>

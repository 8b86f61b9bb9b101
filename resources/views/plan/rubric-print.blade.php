@php
    use YoungHarbor\Core\Figures\Figure;
    use YoungHarbor\Core\Rubric\{ChecklistCriterion, CommentCriterion, LevelCriterion, MarkForm, ScaleCriterion};
@endphp
<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>{{ $rubric->title }}</title>
    <style>
        @page { margin: 14mm; }
        body { font-family: 'DejaVu Sans', sans-serif; font-size: 9pt; color: #14233a; }
        h1 { font-size: 15pt; margin: 0 0 1mm; }
        .quiet { color: #4b5a6e; }
        h2 { font-size: 10.5pt; margin: 5mm 0 1mm; page-break-after: avoid; }
        table { width: 100%; border-collapse: collapse; table-layout: fixed; page-break-inside: avoid; }
        td { border: 0.3pt solid #8794a5; vertical-align: top; padding: 1.6mm; word-wrap: break-word; }
        .points { width: 22mm; text-align: right; }
    </style>
</head>
<body>
    <h1>{{ $rubric->title }}</h1>
    <div class="quiet">{{ $rubric->place() }}, {{ __(
        'plan.rubric_state.'.$rubric->state->value) }}@if ($rubric->latestVersion), version {{ $rubric->latestVersion->number }}@endif, {{ App\Wording\LocalTime::shown(
        now()) }}</div>
    @foreach ($core->criteria as $criterion)
        <h2>{{ $criterion->title() }}
        <span class="quiet">{{ implode(', ',
            array_filter([$criterion->weight()->isZero() ? '' : Figure::plain($criterion->weight()).' % of the mark',
            $criterion instanceof CommentCriterion ? '' : 'out of '.Figure::plain($criterion->max()).' points',
            $criterion->optional() ? 'optional' : ''])) }}</span></h2>
        @if ($criterion->purpose() !== '')<div class="quiet">{{ $criterion->purpose() }}</div>@endif
        @if ($criterion instanceof LevelCriterion)
            <table><tr>@foreach ($criterion->usable() as $level)
            <td><b>{{ $level->title }}</b>
            {{ MarkForm::range($level) ?: Figure::plain($level->points) }}<br>{{ $level->descriptor }}</td>@endforeach
            </tr></table>
        @elseif ($criterion instanceof ScaleCriterion)
            <div>{{ Figure::plain($criterion->min) }} to {{ Figure::plain($criterion->highest) }}
            in steps of {{ Figure::plain($criterion->step) }}</div>
        @elseif ($criterion instanceof ChecklistCriterion)
            <table><colgroup><col><col class="points"></colgroup>
            @foreach ($criterion->items as $item)<tr><td>{{ $item->title }}@if ($item->reminder !== '') <i>{{ $item->reminder }}</i>@endif</td>
            <td class="points">{{ Figure::plain($item->points) }}</td></tr>@endforeach</table>
        @else
            <div>A comment, no mark.</div>
        @endif
    @endforeach
</body>
</html>

@php($of = array_merge(...array_column($sheet['parts'], 'of')))
<table class="table"><thead>
    <tr><th rowspan="2">Candidate</th><th rowspan="2" class="num">Module mark</th><th rowspan="2">Band</th>
    <th rowspan="2"></th>
        @foreach ($sheet['parts'] as $part)<th class="part" colspan="{{ count($part['of']) }}">{{ $part['title'] }}
            <span class="quiet small">{{ $part['weight'] }} %</span></th>@endforeach</tr>
    <tr>@foreach ($sheet['parts'] as $part)@foreach ($part['of'] as $title)<th class="num small">{{
        count($part['of']) === 1 ? '' : $title }}</th>@endforeach @endforeach</tr></thead>
    <tbody>@foreach ($rows as $row)
        <tr><th scope="row" class="code">{{ $row['candidate'] }}</th>
            <td class="num {{ $row['complete'] ? 'font-bold' : 'quiet' }}">{{ $row['mark'] ?? '–' }}</td>
            <td class="whitespace-nowrap">{{ $row['band'] }}</td>
            <td class="small">@if (! $row['complete'])<span class="quiet">{{ __('module-mark.not_complete') }}</span>
            @elseif (! $row['passed'])<span
                class="signal">{{ __('grade-book.not_passed') }}</span> @endif
                @if ($row['just_below']){{ __('module-mark.borderline', ['boundary' => $row['just_below']]) }}@endif
                @foreach ($row['cases'] as $case)<span class="block">{{ $case }}</span>@endforeach
                @if ($row['left'])<span class="quiet">left</span>@endif</td>
            @foreach ($of as $id => $title)<td class="num">{{ $row['marks'][$id] ?? '–' }}</td>@endforeach</tr>
    @endforeach</tbody></table>

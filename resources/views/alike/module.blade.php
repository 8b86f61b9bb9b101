@php
    use App\Wording\AlikeWords;
    use YoungHarbor\Core\Agreement\Report;
@endphp
<x-page :title="__('alike.title').' '.$module->fullTitle()" at="modules">
    <div class="flex flex-wrap items-baseline gap-x-5 mb-2"><h1>{{ __('alike.title') }}</h1>
        <a class="ml-auto" href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a></div>
    @if ($rows === [])
        <x-empty title="No mark is done yet">What this page says comes from finished marks of the module’s assignments.</x-empty>
    @else
        <div class="sheet scroll mb-6"><table class="table stacked wrapped">
            <thead><tr><th>Assignment</th><th class="num">First marks</th><th class="num">Marked twice, blind</th>
                <th class="num">First less second</th><th class="num">95 in 100 between</th><th class="num">Within tolerance</th>
                <th class="num">Near bands, beyond chance</th><th>Stands out</th></tr></thead>
            <tbody>@foreach ($rows as ['assignment' => $one, 'figures' => $figures, 'reader' => $reader])
                @php
                    $f = $figures['figures']; $enough = $figures['pairs'] >= Report::LEAST;
                    $out = array_map(fn ($marker) => $reader->name($marker['id']).', '.($marker['stands_out']
                        ? ($marker['effect'] < 0 ? 'harsher' : 'more generous') : 'within a sitting'),
                        array_values(array_filter($figures['markers'], fn ($marker) => $reader->seesWorkOf($marker['id'])
                        && ! $reader->waits && ($marker['stands_out'] || ($marker['drift']['falls'] ?? false)))));
                @endphp
                <tr><td><a href="{{ route('alike.show', $one) }}">{{ $one->title }}</a></td>
                    <td class="num" data-label="First marks">{{ $figures['firsts'] }}</td>
                    <td class="num" data-label="Marked twice, blind">{{ $figures['pairs'] }}</td>
                    @if ($reader->waits)<td class="quiet" colspan="4">{{ __('alike.waits_row') }}</td>
                    @elseif ($enough)
                        <td class="num" data-label="First less second">{{ AlikeWords::signed($f['mean_difference']) }}</td>
                        <td class="num whitespace-nowrap" data-label="95 in 100 between">{{ AlikeWords::signed($f['limit_low']) }} and {{
                            AlikeWords::signed($f['limit_high']) }}</td>
                        <td class="num" data-label="Within tolerance">{{ AlikeWords::share($f['within_tolerance']) }}</td>
                        <td class="num" data-label="Near bands, beyond chance">{{ $figures['pairs'] >= Report::LEAST_FOR_KAPPA
                            && $f['kappa_weighted'] !== null ? AlikeWords::coefficient($f['kappa_weighted']) : 'too few' }}</td>
                    @else<td class="quiet" colspan="4">too few to say</td>@endif
                    <td class="small">{{ $out === [] ? '–' : implode('; ', $out) }}</td></tr>
            @endforeach</tbody></table></div>
        <h2 class="mb-1">Beside the others, assignment by assignment</h2>
        @if ($markers === [])<p class="quiet">You have no finished marks in this module, or marks still to make.</p>@else
            <div class="sheet scroll"><table class="table">
                <thead><tr><th>Marker</th>@foreach ($rows as ['assignment' => $one])<th class="num whitespace-normal min-w-[130px]">{{
                    $one->title }}</th>@endforeach</tr></thead>
                <tbody>@foreach ($markers as $marker)
                    <tr><td class="font-bold whitespace-nowrap">{{ $marker['name'] }}</td>
                        @foreach ($rows as ['assignment' => $one])
                            @php $lie = $marker['lies'][$one->id] ?? null; @endphp
                            <td class="num">@if ($lie === null)–@elseif ($lie['interval'] === null)<span class="quiet small">{{
                                $lie['marks'] }} marks, {{ $lie['linked'] }} shared</span>@else<span @class(['signal font-bold' => $lie['stands_out']])>{{
                                AlikeWords::signed($lie['effect']) }}{{ $lie['stands_out'] ? ' ◆' : '' }}</span><br><span
                                class="quiet small whitespace-nowrap">{{ AlikeWords::interval($lie['interval'], AlikeWords::signed(...)) }}</span>@endif</td>
                        @endforeach</tr>
                @endforeach</tbody></table></div>
            <p class="hint mt-1 max-w-[46rem]">In marks beside the others on the scripts that link them; ◆ stands out within its assignment. A marker who
                stands out on one assignment and not on others may have had its scripts in mind; one who does on all has a habit.</p>
        @endif
    @endif
</x-page>

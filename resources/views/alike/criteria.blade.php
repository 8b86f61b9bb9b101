@php
    use App\Wording\AlikeWords;
    use YoungHarbor\Core\Agreement\Report;
    $few = $figures['pairs'] < Report::LEAST;
@endphp
@if ($few)
    <p>{{ __('alike.too_few', ['least' => Report::LEAST, 'pairs' => $figures['pairs']]) }}</p>
@else
    <div class="sheet scroll"><table class="table stacked">
        <thead><tr><th>Criterion</th><th class="num">First less second</th><th></th><th class="num">Typically apart</th>
            <th></th><th class="num">Set the same</th></tr></thead>
        @php $widest = max([0.1, ...array_map(fn ($one) => $one['sd'] ?? 0, $figures['criteria'])]); @endphp
        <tbody>@foreach ($figures['criteria'] as $one)
            <tr><td>{{ $one['title'] }}</td>
                <td class="num" data-label="First less second">{{ AlikeWords::signed($one['mean'] ?? 0) }}</td>
                <td class="quiet small whitespace-nowrap">{{ AlikeWords::interval($one['interval'], AlikeWords::signed(...)) }}</td>
                <td class="num" data-label="Typically apart">{{ AlikeWords::marks($one['sd'] ?? 0) }}</td>
                <td><svg width="140" height="12" aria-hidden="true"><rect class="bar-part" x="0" y="2" height="8"
                    width="{{ round(140 * ($one['sd'] ?? 0) / $widest, 1) }}" /></svg></td>
                <td class="num" data-label="Set the same">{{ AlikeWords::share($one['same'] ?? 0) }}<br><span
                    class="quiet small">{{ AlikeWords::interval($one['shareInterval'], AlikeWords::share(...)) }}</span></td></tr>
        @endforeach</tbody></table></div>
    <p class="hint mt-1 max-w-[46rem]">In marks of the total, so that criteria can be compared: the standard deviation of the difference
        on the criterion, and how often both set it the same. A heavy criterion weighs more than a light one that is read as differently.</p>
@endif

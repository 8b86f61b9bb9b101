{{-- How all released marks of the assignment lie, where the coordinator shares it. --}}
@php $most = max(1, ...array_column($lie, 'results')); @endphp
<details class="mt-2"><summary class="link">{{ __('release.shared') }}</summary>
    <table class="mt-2 w-full"><caption class="sr-only">{{ __('release.shared') }}</caption>
        <tbody>@foreach (array_reverse($lie) as $one)
            <tr><th scope="row" class="text-left font-normal pr-3 {{ $one['band'] === $d['band'] ? 'font-bold' : '' }}">{{
                $one['band'] }}{{ $one['band'] === $d['band'] ? ', yours' : '' }}</th>
                <td class="num pr-2">{{ $one['results'] }}</td>
                <td><svg width="72" height="10" class="block" aria-hidden="true"><rect class="bar-part" y="1" height="8"
                    width="{{ round(72 * $one['results'] / $most, 1) }}" /></svg></td></tr>
        @endforeach</tbody></table>
    <p class="quiet small mt-1">{{ __('release.shared_how', ['count' => array_sum(array_column($lie, 'results'))]) }}</p></details>

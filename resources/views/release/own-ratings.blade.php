{{-- What a student gave their own work, beside peers and staff. --}}
@php($words = fn (string $key) => __("peers.beside_result.{$key}"))
<section class="panel mb-4 no-print" id="own-rating"><h2 class="mb-2">{{ $words('title') }}</h2>
    @if ($beside->after)<p class="quiet small mb-2">{{ $words('after') }}</p>@endif
    @if ($beside->round->settings->on === YoungHarbor\Core\Peers\ReviewedAt::Draft)<p class="quiet small mb-2">{{ $words('draft') }}</p>@endif
    <div class="scroll"><table class="table"><thead><tr><th></th><th class="num">{{ $words('own') }}</th>
        @if ($beside->rows !== [] && $beside->rows[0]['peers'] !== [])<th class="num">{{ $words('peers') }}</th>@endif
        <th class="num">{{ $words('staff') }}</th><th class="num">of</th></tr></thead>
        <tbody>@foreach ($beside->rows as $row)<tr><td>{{ $row['title'] }}</td><td class="num"><b>{{ $row['own'] }}</b></td>
            @if ($row['peers'] !== [])<td class="num">{{ implode('  ', $row['peers']) }}</td>@endif
            <td class="num">{{ $row['staff'] }}</td><td class="num quiet">{{ $row['max'] }}</td></tr>@endforeach</tbody>
        </table></div>
    <form class="mt-3" method="post" action="{{ route('peer-reviews.learnt', $beside->own) }}">@csrf @method('put')
        <x-field name="learnt" :label="$words('learnt')" rows="3" maxlength="5000" :value="$beside->own->answer"
            :hint="$words('who')" dir="auto" />
        <div class="flex justify-end"><button class="button">Save</button></div></form></section>

@forelse ($tables as $table)
    <div class="scroll mb-4"><table class="table"><thead><tr><th></th><th class="num">{{ __('grade-book.results') }}</th>
        <th class="num">{{ __('grade-book.mean') }}</th><th class="num">{{ __('grade-book.sd') }}</th>
        @foreach ($table['bands'] as $band)<th class="num">{{ $band }}</th>@endforeach</tr></thead>
        <tbody>@foreach ($table['lines'] as $line)
            <tr><th scope="row" @class(['quiet font-normal' => $line['earlier']])>{{ $line['what'] }}</th>
                <td class="num">{{ $line['results'] }}</td>
                <td class="num">{{ number_format($line['mean'], 1) }}</td>
                <td class="num">{{ $line['sd'] === null ? '' : number_format($line['sd'], 1) }}</td>
                @foreach ($line['bands'] as $count)<td class="num"><span>{{ $count }}</span><svg width="48" height="8"
                    class="block ml-auto" aria-hidden="true"><rect class="bar-part"
                    x="{{ round(48 - 48 * $count / max(1, $line['results']), 1) }}" y="1" height="6"
                    width="{{ round(48 * $count / max(1, $line['results']), 1) }}" /></svg></td>@endforeach</tr>
        @endforeach</tbody></table></div>
@empty<p class="quiet">{{ __('grade-book.lie_none') }}</p>
@endforelse
<p class="hint max-w-[46rem]">{{ __('grade-book.lie_what') }}</p>

@php
    use App\Wording\AlikeWords;
    $rows = array_values(array_filter($markers, fn ($one) => $one['marks'] > 0));
    $all = ['name' => $reader->seesAll ? 'All first marks' : 'All markers', 'n' => 0, 'sum' => 0.0, 'bands' => array_fill(0, count($bands), 0)];
    foreach ($rows as $one) {
        $all['n'] += $one['marks'];
        $all['sum'] += $one['marks'] * $one['mean'];
        $all['bands'] = array_map(fn ($a, $b) => $a + $b, $all['bands'], $one['bands']);
    }
    $lines = $reader->seesTotals($markers)
        ? [['name' => $all['name'], 'n' => $all['n'], 'mean' => $all['sum'] / max(1, $all['n']), 'bands' => $all['bands'], 'total' => true]]
        : [];
    // Of a large team those who stand out, unless every marker is asked for.
    $some = count($rows) > 12 && request('markers') !== 'all';
    foreach ($rows as $one) {
        if ($reader->seesWorkOf($one['id']) && (! $some || $one['stands_out'] || ($one['drift']['falls'] ?? false) || $one['id'] === $reader->self)) {
            $lines[] = ['name' => $reader->name($one['id']), 'n' => $one['marks'], 'mean' => $one['mean'], 'bands' => $one['bands'], 'total' => false];
        }
    }
    foreach ($earlier as $one) {
        $lines[] = ['name' => "{$one['module']}: {$one['title']}, results", 'n' => $one['results'], 'mean' => $one['mean'], 'bands' => $one['bands'], 'total' => false];
    }
@endphp
@if ($lines === [])<p class="quiet">No first mark of yours is done here.</p>@else<div class="sheet scroll"><table class="table">
    <thead><tr><th></th><th class="num">Marks</th><th class="num">Mean</th>@foreach ($bands as $band)<th
        class="num">{{ $band->name }}</th>@endforeach</tr></thead>
    <tbody>@foreach ($lines as $line)
        <tr><td @class(['font-bold' => $line['total']])>{{ $line['name'] }}</td><td class="num">{{ $line['n'] }}</td>
            <td class="num">{{ AlikeWords::marks($line['mean']) }}</td>
            @foreach ($line['bands'] as $n => $count)
                <td class="num"><span>{{ $count }}</span><svg width="56" height="8" class="block ml-auto" aria-hidden="true"><rect
                    class="bar-part" x="{{ round(56 - 56 * $count / max(1, $line['n']), 1) }}" y="1" height="6"
                    width="{{ round(56 * $count / max(1, $line['n']), 1) }}" /></svg></td>
            @endforeach</tr>
    @endforeach</tbody></table></div>@endif
@if ($some && $reader->seesAll)<p class="mt-1"><a href="{{ route('alike.show', [$assignment, 'markers' => 'all']) }}#bands">every
    marker</a></p>@endif
<p class="hint mt-1 max-w-[46rem]">{{ $earlier === [] && $reader->seesAll ? 'Earlier cohorts stand here where the assignment was copied from theirs and at least '.App\Alike\EarlierCohorts::LEAST.' results were released. ' : '' }}Markers
    whose scripts differ have marks that differ: this shows what was given, not who is harsh.</p>

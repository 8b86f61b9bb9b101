@php
    use App\Wording\SampleWords;
    use YoungHarbor\Core\Agreement\Sight;
    use YoungHarbor\Core\Agreement\SightCurve;
    $marks = array_column(array_map(fn ($one) => [$one->script, $one->mark], $draft->from), 1, 0);
    $x = fn ($marks) => round(40 + 300 * $marks / SightCurve::FARTHEST, 1);
    $y = fn ($often) => round(160 - 145 * $often, 1);
    $dash = ['planned' => '', 'half-more' => '7 4', 'twice' => '2 3'];
@endphp
<p class="mb-4">{{ SampleWords::size($draft) }}</p>
@if (($lacking = $draft->withoutSecond()) !== [])
    <p class="notice">{{ SampleWords::lacking($draft) }} <a href="{{ route('share-out.index', $assignment) }}">Who marks</a></p>
@endif
<section class="mb-6">
    <h2 class="mb-1">What this sample can see</h2>
    @if ($sight === null)
        <p class="quiet">Second marks are made seeing the first here, so they do not show who marks how: only marks made without seeing the other do.</p>
    @elseif ($sight->curves === [])
        <p class="quiet">Nothing: no two markers share enough scripts to be compared.</p>
    @else
        <div class="sheet scroll"><table class="table stacked">
            <thead><tr><th>Marker</th><th class="num">Scripts shared with others</th>
                <th>One who is {{ (int) Sight::SEVERITY }} marks harsher than the others</th></tr></thead>
            <tbody>@foreach ($sight->markers as $one)
                <tr><td>{{ $draft->names[$one->marker] ?? 'someone' }}</td><td class="num" data-label="Scripts shared with others">{{ $one->pairs }}</td>
                    <td data-label="{{ (int) Sight::SEVERITY }} marks harsher">{{ SampleWords::sight($one) }}</td></tr>
            @endforeach</tbody>
        </table></div>
        <div class="flex flex-wrap gap-x-6 gap-y-2 mt-3 items-start">
            <figure><svg width="360" height="196" role="img"
                aria-label="{{ SampleWords::curve($sight) }}">
                @foreach ([0, 2, 4, 6, 8, 10] as $tenths)
                    <line x1="40" x2="340" y1="{{ $y($tenths / 10) }}" y2="{{ $y($tenths / 10) }}" stroke="var(--rule)" />
                    <text x="34" y="{{ $y($tenths / 10) + 4 }}" font-size="11" text-anchor="end"
                        fill="var(--quiet)">{{ $tenths }}</text>
                @endforeach
                @foreach ([0, 5, 10, 15] as $m)<text x="{{ $x($m) }}" y="176" font-size="11" text-anchor="middle"
                    fill="var(--quiet)">{{ $m }}</text>@endforeach
                <text x="190" y="192" font-size="11" text-anchor="middle" fill="var(--quiet)">marks harsher than the others</text>
                @foreach ($sight->curves as $key => $curve)
                    <polyline fill="none" stroke="{{ $key === 'planned' ? 'var(--deep)' : 'var(--ink)' }}"
                        stroke-width="{{ $key === 'planned' ? 3 : 1.5 }}" stroke-dasharray="{{ $dash[$key] }}"
                        points="@foreach ($curve as $m => $often){{ $x($m) }},{{ $y($often) }} @endforeach" />
                @endforeach
            </svg><figcaption class="quiet small">noticed so many times in 10</figcaption></figure>
            <div class="small max-w-[26rem]">
                <p class="mb-1"><svg width="34" height="8" aria-hidden="true"><line x1="0" x2="34" y1="4" y2="4"
                    stroke="var(--deep)" stroke-width="3" /></svg> as planned, for {{ $draft->names[$sight->middle] ?? 'one' }}, who is in the middle</p>
                <p class="mb-1"><svg width="34" height="8" aria-hidden="true"><line x1="0" x2="34" y1="4" y2="4"
                    stroke="var(--ink)" stroke-width="1.5" stroke-dasharray="7 4" /></svg> with half as many scripts again</p>
                <p class="mb-2"><svg width="34" height="8" aria-hidden="true"><line x1="0" x2="34" y1="4" y2="4"
                    stroke="var(--ink)" stroke-width="1.5" stroke-dasharray="2 3" /></svg> with twice as many</p>
                <p class="quiet">{{ SampleWords::basis($sight) }}</p>
            </div>
        </div>
    @endif
</section>
<section class="mb-6"><h2 class="mb-1">Who marks them a second time</h2>
    <p>@foreach ($draft->loads as $marker => $load)<span class="whitespace-nowrap mr-4">{{ $draft->names[$marker] ?? 'someone' }}
        <b>{{ $load }}</b></span> @endforeach</p>
</section>
<section><h2 class="mb-1">The scripts</h2>
    @if ($hidden)<p class="notice">You mark here yourself, and some of these may come to you without the first mark: so marks
        and reasons are hidden from you until the sample is drawn.</p>@endif
    <div class="sheet scroll"><table class="table">
        <thead><tr><th>Script</th><th>First marker</th><th class="num">First mark</th><th>Why</th>
            <th class="num">Chance</th><th>Second marker</th></tr></thead>
        <tbody>@foreach ($draft->sample->scripts as $one)
            <tr><td class="code">{{ $one->script }}</td><td>{{ $draft->names[$one->marker] ?? '' }}</td>
                @if ($hidden)<td class="num quiet">hidden</td><td class="quiet">hidden</td><td class="num quiet">hidden</td>
                @else<td class="num">{{ $marks[$one->script] }}</td><td>{{ SampleWords::why($one->reasons) }}</td>
                <td class="num">{{ SampleWords::chance($one) }}</td>@endif
                <td>{{ isset($draft->seconds[$one->script]) ? $draft->names[$draft->seconds[$one->script]->marker] ?? ''
                    : 'nobody yet' }}</td></tr>
        @endforeach</tbody>
    </table></div>
    <p class="hint mt-1">Chance: how likely a script was to be in the sample. Figures on how people mark weigh it by 1 over this.</p>
</section>

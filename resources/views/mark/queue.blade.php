<x-page :title="'Mark: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Mark" /></x-slot:head>
    @php($next = $marks->first(fn ($mark) => ! $mark->isDone()))
    @if ($marks->isEmpty())
        @if (! $coordinates || $progress->isEmpty())
            <x-empty title="No script is with you">{{ $coordinates ? 'Scripts are given out under Share out. If you mark too, choose yourself there.' : 'When the coordinator shares scripts out, yours are listed here and on Today.' }}</x-empty>
        @endif
    @else
        <div class="flex items-baseline justify-between mb-2">
            <h2>Your scripts <span class="quiet font-normal">{{ $marks->filter->isDone()->count() }} of {{ $marks->count() }} done</span></h2>
            <a class="ml-auto mr-5" href="{{ route('mark.zip', $assignment) }}">all as a ZIP, without names</a>
            @if ($next)<a class="button primary" data-key="n" href="{{ route('mark.desk', $next) }}">Go to the desk</a>@endif
        </div>
        <div class="sheet scroll"><table class="table">
            <thead><tr><th>Script</th>@if ($assignment->namesRevealed())<th>Student</th>@endif<th>Your mark is the</th><th class="num">Words</th><th class="num">Total</th><th>State</th></tr></thead>
            <tbody>
                @foreach ($marks as $mark)
                    <tr>
                        <td><a class="code" href="{{ route('mark.desk', $mark) }}">{{ $mark->script->code }}</a></td>
                        @if ($assignment->namesRevealed())<td>{{ $mark->script->names() }}</td>@endif
                        <td>{{ $mark->part->value }}</td>
                        <td class="num">{{ number_format($mark->handin->words) }}</td>
                        <td class="num font-bold">{{ $mark->shownTotal() ?? '' }}</td>
                        <td>@if ($mark->script->result)<span class="kelp">released</span>@elseif ($mark->isDone())<span class="kelp">done</span>@else{{ $mark->begun_at ? 'begun' : 'not begun' }}@endif</td>
                    </tr>
                @endforeach
            </tbody>
        </table></div>
    @endif
    @if ($progress->isNotEmpty())
        <h2 class="mt-7 mb-2">How far is everyone</h2>
        <div class="sheet scroll max-w-3xl"><table class="table">
            <thead><tr><th>Marker</th><th class="num">Given</th><th class="num">Begun</th><th class="num">Done</th><th></th></tr></thead>
            <tbody>
                @foreach ($progress as $row)
                    <tr><td>{{ $row->marker->name }}</td><td class="num">{{ $row->given }}</td><td class="num">{{ $row->begun }}</td><td class="num">{{ $row->done }}</td>
                        <td><svg width="160" height="12" aria-hidden="true"><rect x="0.5" y="1.5" width="159" height="9" fill="var(--sheet)" stroke="var(--quiet)" /><rect x="0.5" y="1.5" width="{{ round(159 * $row->done / max(1, $row->given), 1) }}" height="9" fill="var(--deep)" /></svg></td></tr>
                @endforeach
            </tbody>
        </table></div>
        @if ($assignment->promised_on)<p class="quiet small mt-2">Results are promised for {{ App\Support\Clock::day($assignment->promised_on) }}.</p>@endif
    @endif
</x-page>

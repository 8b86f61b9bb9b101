@php
    use App\Enums\ConversationFinding;
    $by = fn (string $key) => route('screen.index',
        [$assignment, ...$screened->asked(
        ['sort' => ($screened->sort === $key) === $screened->down ? $key : "-{$key}"])]);
    $head = ['script' => ['Script', ''], 'words' => ['Words', 'num'], 'share' => ['Share', 'num'],
        'runs' => ['Passages', 'num'], 'close' => ['Close wording', 'num'], 'largest' => ['Largest source', ''],
        'hidden' => ['Hidden or altered', '']];
@endphp
<div id="screen-table" class="sheet scroll" tabindex="0" @if ($working)
    hx-get="{{ route('screen.index', [$assignment, ...$screened->asked()]) }}" hx-trigger="load delay:1500ms"
    hx-swap="outerHTML" @endif>
    <p class="px-3 pt-2 quiet small" role="status">{{ $counts['s_ready'] }} of {{ $counts['f_'] }}
    compared{{ $counts['s_nothing'] > 0 ? ", {$counts['s_nothing']} not screened (a link was handed in)"
        : '' }}{{ $counts['s_web'] > 0 ? "; {$counts['s_web']} still looked for in the open web" : '' }}.{{ $working
        ? ' This page keeps itself up to date.' : '' }}</p>
    @if ($rows->isEmpty())
        <p class="px-4 py-4 quiet">No script is like that.
        <a href="{{ route('screen.index', $assignment) }}">Show all</a></p>
    @else
    <table class="table">
        <thead><tr>@foreach ($head as $key => [$label, $class])@if ($key === 'share')<th>Overlap</th>@endif
        <th class="{{ $class }}"
            aria-sort="{{ $screened->sort === $key ? ($screened->down ? 'descending' : 'ascending') : 'none' }}">
            <a href="{{ $by($key) }}">{{ $label }}{{ $screened->sort === $key ? ($screened->down ? ' ↓' : ' ↑')
            : '' }}</a></th>@endforeach<th>Where it stands</th></tr></thead>
        <tbody>
            @foreach ($rows as $row)
                <tr>
                    <td><a class="code" href="{{ route('screen.show', $row->public_id) }}">{{ $row->code }}</a></td>
                    <td class="num">{{ $row->words > 0 ? number_format($row->words) : '' }}</td>
                    @if ($row->state === 'ready')
                        <td><x-staff :share="$row->share" :assignment="$assignment" width="140" /></td>
                        <td class="num font-bold whitespace-nowrap">{{ $row->share }} %</td>
                        <td class="num">{{ $row->runs }}</td>
                        <td class="num">{{ $row->close_runs > 0 ? number_format($row->close_words) : '' }}</td>
                        <td>@if ($row->largest)<span class="clip" title="{{ $row->largest }}">{{ $row->largest }}</span>
                        <span class="quiet small whitespace-nowrap">{{ number_format($row->largest_words) }}
                        words</span>@endif</td>
                        <td class="small">@foreach ($row->findings as $kind => $times)<span
                            class="whitespace-nowrap">{{ $kind }}{{ $times > 1 ? " ({$times})"
                            : '' }}</span>{{ $loop->last ? '' : ', ' }}@endforeach</td>
                        <td><x-attention :assignment="$assignment" :share="$row->share" />
                            @if ($row->found)<span class="whitespace-nowrap">{{ ConversationFinding::from($row->found)
                                ->short() }}</span>@elseif ($assignment->screening->attention(
                                $row->share) === YoungHarbor\Core\Overlap\Attention::None)<span
                                class="quiet">ready</span>@endif
                            @if ($row->held)<span class="quiet small">held</span>@endif
                            @if (in_array($row->web_state, ['waiting', 'running'],
                                true))<span class="quiet small whitespace-nowrap">open web {{ $row->web_state === 'running'
                                ? "{$row->web_asked} of {$row->web_to_ask}"
                                : 'waiting' }}</span>@elseif (in_array($row->web_state, ['part', 'failed'],
                                true))<span class="quiet small"
                                title="{{ $row->web_failure }}">open web: {{ $row->web_state === 'part' ? 'in part'
                                : 'not answered' }}</span>@endif</td>
                    @else
                        <td colspan="6" class="quiet">
                            {{ match ($row->state) { 'failed', 'nothing' => $row->failure,
                            'running' => $row->to_compare > 0 ? "{$row->compared} of {$row->to_compare} texts compared"
                            : 'being read', default => '' } }}</td>
                        <td @class(['signal' => $row->state === 'failed', 'quiet' => $row->state !== 'failed'])>
                            {{ $row->state === 'nothing' ? 'not screened' : $row->state ?? 'waiting' }}</td>
                    @endif
                </tr>
            @endforeach
        </tbody>
    </table>
    @endif
</div>

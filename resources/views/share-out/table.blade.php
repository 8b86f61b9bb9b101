@if ($rows->total() > 0 || $wanted !== '')
    <div class="flex flex-wrap items-center gap-3 mb-2">
        <form class="flex gap-2" method="get" action="{{ route('share-out.index', $assignment) }}" role="search">
            <label class="sr-only" for="f-with">Script code</label>
            <input class="input w-44!" id="f-with" type="search" name="with"
                value="{{ isset($names[$wanted]) || in_array($wanted, ['changed', 'nobody'], true) ? '' : $wanted }}"
                placeholder="script code">
            <button class="button">Find</button>
        </form>
        <nav class="chips small" aria-label="Which scripts">
            <a href="{{ route('share-out.index', $assignment) }}"
                aria-current="{{ $wanted === '' ? 'true' : 'false' }}">all</a>
            @if ($draft)<a href="{{ route('share-out.index', [$assignment, 'with' => 'changed']) }}"
                aria-current="{{ $wanted === 'changed' ? 'true' : 'false' }}">what changes</a>@endif
            @foreach (count($names) <= 12 ? $names
                : [] as $id => $name)<a href="{{ route('share-out.index', [$assignment, 'with' => $id]) }}"
                aria-current="{{ $wanted === $id ? 'true' : 'false' }}">{{ $name }}</a>@endforeach
        </nav>
    </div>
    <div class="sheet scroll"><table class="table">
        <thead><tr><th>Script</th><th>Section</th>@if ($assignment->handin_by->isGroup())<th>Group</th>@endif
        <th>First marker</th>@if (count($parts) > 1)<th>Second marker, {{ __(
            "moderate.seen.{$assignment->scheme->view->value}") }}</th>@endif</tr></thead>
        <tbody>
            @forelse ($rows as $code => $row)
                <tr><td class="code">{{ $code }}</td><td>{{ $works->get($code)?->section }}</td>
                @if ($assignment->handin_by->isGroup())<td>{{ $works->get($code)?->group }}</td>@endif
                    @foreach ($parts as $part)
                        @php($entry = $row[$part->value] ?? null)
                        @php($other = $row[$part === YoungHarbor\Core\Marking\Seat::First ? 'second'
                            : 'first']['marker'] ?? null)
                        <td>
                            @if ($entry === null)<span class="quiet">none</span>
                            @elseif ($draft && ! $entry['fixed'])
                                <button id="m-{{ $code }}-{{ $part->value }}"
                                    @class(['mover', 'changed' => $entry['marker'] !== $entry['from']]) type="button"
                                    draggable="true" data-move="{{ $code }}" data-part="{{ $part->value }}"
                                    data-has="{{ $entry['marker'] }}" data-other="{{ $other }}"
                                    aria-label="Move the {{ $part->value }} mark of {{ $code }}, with {{ $entry['marker'] === null
                                    ? 'nobody' : $names[$entry['marker']] ?? '' }}">
                                    {{ $entry['marker'] === null ? 'nobody' : $names[$entry['marker']] ?? '' }}</button>
                                @if ($entry['from'] !== null
                                    && $entry['from'] !== $entry['marker'])<span
                                    class="quiet small">from {{ $names[$entry['from']] ?? '' }}</span>@endif
                            @else{{ $names[$entry['marker']] ?? '' }}
                            <span class="quiet small">{{ $entry['state'] }}</span>
                                @if ($entry['state'] === 'begun')
                                    <details class="drop"><summary class="link small w-max"
                                        aria-label="Hand over the {{ $part->value }} mark of {{ $code }}">
                                        hand over</summary>
                                        <form class="panel mt-1 max-w-64" method="post"
                                            action="{{ route('share-out.hand-over', $assignment) }}">@csrf
                                            <input type="hidden" name="script" value="{{ $code }}"><input type="hidden"
                                                name="part" value="{{ $part->value }}">
                                            <p class="small mb-2">For someone who cannot finish it. What is begun is kept and counts for nothing; the other begins anew.
                                            </p>
                                            <label class="field"><span class="label">To</span><select class="input"
                                                name="to">@foreach ($people as $member)
                                                @continue(in_array($member->user->public_id, [$entry['marker'], $other],
                                                    true))<option value="{{ $member->user->public_id }}">
                                                    {{ $member->user->name }}</option>@endforeach</select></label>
                                            <label class="field"><span class="label">Why</span><input class="input"
                                                name="reason" maxlength="300" required minlength="5"></label>
                                            <div class="flex justify-end">
                                                <button class="button">Hand it over</button></div></form></details>
                                @endif
                            @endif
                        </td>
                    @endforeach
                </tr>
            @empty
                <tr><td colspan="5" class="quiet">No script fits.
                <a href="{{ route('share-out.index', $assignment) }}">Show all</a></td></tr>
            @endforelse
        </tbody>
    </table></div>
    <x-pages :pages="$rows" />
@endif

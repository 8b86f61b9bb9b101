<p class="quiet small mb-2">On {{ $criterion->title() }}, in this assignment, latest first.</p>
@if ($lines->isEmpty())
    <p>You have set nothing on this criterion yet.</p>
@else
    <table class="table small"><thead><tr><th>Script</th><th class="num">Points</th><th></th>
    <th>Comment</th></tr></thead>
        <tbody>@foreach ($lines as $line)<tr>
            <td class="code"><a href="{{ route('mark.desk', $line['mark']) }}"
            target="_blank">{{ $line['mark']->script->code }}</a></td>
            <td class="num font-bold">{{ $line['points'] }}</td><td>{{ $line['words'] }}</td>
            <td class="quiet" dir="auto">{{ Str::limit($line['comment'], 120) }}</td></tr>@endforeach</tbody></table>
@endif

@if ($rows === [])
    <p class="quiet">No word and no number differs.</p>
@else
    <div class="scroll"><table class="table small max-w-5xl">
        <thead><tr><th>Where</th><th>Before</th><th>After</th></tr></thead>
        <tbody>@foreach (array_slice($rows, 0, 60) as $row)<tr><td class="quiet">{{ ucfirst($row['where']) }}</td>
        <td>{{ $row['before'] === '' ? '(empty)' : Str::limit($row['before'], 240) }}</td>
        <td>{{ $row['after'] === '' ? '(empty)' : Str::limit($row['after'], 240) }}</td></tr>@endforeach</tbody>
    </table></div>
    @if (count($rows) > 60)<p class="quiet small">and {{ count($rows) - 60 }} more</p>@endif
@endif

@isset($refused)
    <p class="error" role="alert">{{ ucfirst($refused) }}. Nothing in the rubric has changed.</p>
@else
    <ul class="small quiet list-disc ml-5 mb-2">@foreach ($table->notes as $note)<li>{{ $note }}</li>@endforeach</ul>
    <div class="sheet scroll max-h-72 overflow-y-auto"><table class="table small preview">
        <thead><tr><th>Criterion</th>
        @foreach ($table->levels as $level)<th>
            {{ $level['title'] === '' ? 'level '.$loop->iteration : $level['title'] }}
            <span class="num">{{ $level['points'] }}</span></th>@endforeach<th class="num">Weight</th></tr></thead>
        <tbody>
            @foreach ($table->criteria as $criterion)
                <tr><td><b>{{ $criterion['title'] === '' ? '(no title)'
                    : Str::limit($criterion['title'],
                    80) }}</b>@if ($criterion['purpose'] !== '')<br><span class="quiet">{{ Str::limit(
                    $criterion['purpose'], 80) }}</span>@endif</td>
                    @foreach ($criterion['descriptors'] as $descriptor)<td>
                        {{ Str::limit($descriptor, 60) }}</td>@endforeach
                    <td class="num">{{ $criterion['weight'] }}</td></tr>
            @endforeach
        </tbody>
    </table></div>
    <p class="small mt-2">{{ count($table->criteria) }} {{ count($table->criteria) === 1 ? 'criterion' : 'criteria' }}
    by {{ count($table->levels) }} {{ count($table->levels) === 1 ? 'level' : 'levels' }}.</p>
    <div class="flex flex-wrap justify-end gap-3 mt-2">
        @if ($empty)
            <button class="button primary" formaction="{{ route('rubrics.paste.apply', $rubric) }}" name="how"
                value="replace" data-plain>Use it</button>
        @else
            <button class="button" formaction="{{ route('rubrics.paste.apply', $rubric) }}" name="how" value="replace"
                data-plain>Replace the sheet</button>
            <button class="button primary" formaction="{{ route('rubrics.paste.apply', $rubric) }}" name="how"
                value="below" data-plain>Add below what is there</button>
        @endif
    </div>
@endisset

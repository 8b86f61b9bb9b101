<div class="notice refusal" role="alert">
    <p><b>{{ $message }}</b>
    Their version was saved at {{ $at }}. Nothing of yours is lost: it is still in the sheet below, and these places differ.
    </p>
    <table class="table small my-2 max-w-3xl">
        <thead><tr><th>Where</th><th>Yours, in the sheet</th><th>Theirs, saved</th></tr></thead>
        <tbody>
            @foreach (array_slice($differences, 0, 12) as [$place, $mine, $theirs])
                <tr><td class="quiet">{{ $place }}</td><td>{{ $mine === '' ? '(empty)' : $mine }}</td>
                <td>{{ $theirs === '' ? '(empty)' : $theirs }}</td></tr>
            @endforeach
        </tbody>
    </table>
    @if (count($differences) > 12)<p class="quiet small">and {{ count($differences) - 12 }} more</p>@endif
    <div class="flex gap-4 mt-2">
        <button class="button" form="sheet" name="seen" value="{{ $rubric->lock_version }}"
            data-over>Save mine over theirs</button>
        <a class="button" href="{{ route('rubrics.show', $rubric) }}">Take theirs</a>
    </div>
</div>

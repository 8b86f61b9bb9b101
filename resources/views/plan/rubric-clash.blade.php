<div class="notice refusal" role="alert">
    <p><b>{{ $who }} wrote in the same place, saved {{ $at }}.</b>
    Everything else of yours is saved. Here nothing is lost yet: yours is still in the sheet, theirs is stored. Choose one.
    </p>
    <table class="table small my-2 max-w-4xl">
        <thead><tr><th>Where</th><th>Yours, in the sheet</th><th>Theirs, saved</th><th></th></tr></thead>
        <tbody>
            @foreach ($rows as $row)
                <tr data-clash="{{ $row['place'] }}" data-theirs="{{ $row['theirs'] }}">
                    <td class="quiet">{{ ucfirst($row['where']) }}</td>
                    <td>{{ $row['mine'] === '' ? '(empty)' : $row['mine'] }}</td>
                    <td>{{ $row['theirs'] === '' ? '(empty)' : $row['theirs'] }}</td>
                    <td class="whitespace-nowrap">
                        <button type="button" class="link mr-4" data-keep="mine">Keep mine</button>
                        <button type="button" class="link" data-keep="theirs">Take theirs</button></td>
                </tr>
            @endforeach
        </tbody>
    </table>
</div>

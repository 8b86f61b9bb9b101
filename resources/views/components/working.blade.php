@props(['lines'])
<table class="table small">
    <tbody>
        @foreach ($lines as $line)
            <tr><td>{{ $line['what'] }}</td><td class="quiet">{{ $line['how'] }}</td>
            <td class="num font-bold whitespace-nowrap">{{ $line['result'] }}</td></tr>
        @endforeach
    </tbody>
</table>

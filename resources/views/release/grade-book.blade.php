<x-page :title="'Grade book: '.$module->code" at="grade-book">
    <x-slot:head><div class="heading">
        <h1>Grade book</h1><a class="of"
        href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a><a class="ml-auto"
        href="{{ route('grade-book.csv', $module) }}">Download as CSV</a></div></x-slot:head>
    @if ($book['rows'] === [] || $book['assignments']->isEmpty())
        <x-empty title="Nothing in the grade book yet">
            Students and open assignments appear here; marks once they are released.</x-empty>
    @else
        <div class="sheet scroll"><table class="table">
            <thead><tr><th>Student</th><th>Number</th><th>Section</th>
            @foreach ($book['assignments'] as $assignment)<th>
                <a href="{{ route('assignments.show', $assignment) }}">{{ $assignment->title }}</a></th>@endforeach</tr>
                </thead>
            <tbody>
                @foreach ($book['rows'] as $row)
                    <tr>
                        <td class="font-bold">{{ $row['name'] }}</td><td>{{ $row['number'] }}</td>
                        <td>{{ $row['section'] }}</td>
                        @foreach ($row['cells'] as $cell)
                            <td>@if ($cell['mark'] !== null)@can('coordinate', $module)<a class="font-bold"
                                href="{{ $cell['link'] }}">{{ $cell['mark'] }}</a>@else<b>{{ $cell['mark'] }}</b>@endcan
                                <span class="quiet">{{ $cell['band'] }}</span>@unless ($cell['opened'])<br><span
                                    class="quiet small">not opened yet</span>@endunless
                                    @elseif ($cell['link'] !== null)<a
                                        href="{{ $cell['link'] }}">{{ $cell['state'] }}</a>@else<span @class(['quiet',
                                        'signal' => $cell['missing']])>{{ $cell['state'] }}</span>@endif</td>
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table></div>
        <p class="quiet small mt-3">
            Marks stand here once they are released. Until then a name is never shown beside a mark.</p>
    @endif
</x-page>

<x-page :title="'Logbook: '.$module->code" at="modules">
    <x-slot:head><div class="heading">
        <h1>Logbook</h1><a class="of"
        href="{{ route('modules.show',
        $module) }}">{{ $module->fullTitle() }}</a><span
        class="quiet small ml-auto">Each line is chained to the one before: one that is altered or missing shows.</span>
        </div></x-slot:head>
    @if ($lines->isEmpty())
        <x-empty title="No line yet">Every step that touches a rubric, a script or a mark is written here.</x-empty>
    @else
        <div class="sheet scroll"><table class="table stacked">
            <thead><tr><th class="num">Line</th><th>When</th><th>Who</th><th>What</th><th>Of</th>
            <th>With</th></tr></thead>
            <tbody>
                @foreach ($lines as $line)
                    <tr>
                        <td class="num quiet" data-label="Line">{{ $line->number }}</td>
                        <td class="lg:whitespace-nowrap"
                            data-label="When">{{ App\Wording\LocalTime::shown($line->when()) }}</td>
                        <td data-label="Who">{{ $reading->who($line) }}</td>
                        <td>{{ $reading->what($line) }}</td>
                        <td data-label="Of">{{ $reading->on($line) }}</td>
                        <td class="quiet small">
                            {{ $line->event->tellsMark() && in_array($line->assignment, $blind, true)
                            ? __('logbook.hidden_while_marking') : implode('; ', $reading->with($line)) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table></div>
        <p class="quiet small mt-3">Its last line is signed. The public key anyone can check it with:
        <span class="code break-all">{{ $key }}</span></p>
        <div class="mt-3">{{ $lines->links('release.logbook-pages') }}</div>
    @endif
</x-page>

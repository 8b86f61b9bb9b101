@use('App\Logbook\LogbookSearch')
<x-page :title="'Logbook: '.$module->code" at="modules">
    <x-slot:head><div class="heading">
        <h1>Logbook</h1><a class="of" href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a>
        <span class="quiet small ml-auto">Each line is chained to the one before: one that is altered or missing shows.</span>
        </div></x-slot:head>
    <form class="flex flex-wrap items-end gap-x-4 gap-y-2 mb-3" method="get" action="{{ route('logbook', $module) }}">
        <label class="small">{{ __('logbook.search.who') }}<br><input class="input" name="who" value="{{ $search->who }}"></label>
        <label class="small">{{ __('logbook.search.code') }}<br><input class="input w-32!" name="code"
            value="{{ $search->code }}"></label>
        <label class="small">{{ __('logbook.search.assignment') }}<br><select class="input" name="assignment">
            <option value="">{{ __('logbook.search.any') }}</option>
            @foreach ($search->assignments() as $id => $title)<option value="{{ $id }}"
                @selected($search->assignment === $id)>{{ $title }}</option>@endforeach</select></label>
        <label class="small">{{ __('logbook.search.kind') }}<br><select class="input" name="kind">
            <option value="">{{ __('logbook.search.any') }}</option>
            @foreach (LogbookSearch::KINDS as $kind)<option value="{{ $kind }}" @selected($search->kind === $kind)>{{
                __("logbook.kinds.{$kind}") }}</option>@endforeach</select></label>
        <label class="small">{{ __('logbook.search.from') }}<br><input class="input" type="date" name="from"
            value="{{ $search->from }}"></label>
        <label class="small">{{ __('logbook.search.to') }}<br><input class="input" type="date" name="to"
            value="{{ $search->to }}"></label>
        <button class="button">{{ __('logbook.search.find') }}</button>
        @unless ($search->isAll())<a class="small py-2" href="{{ route('logbook', $module) }}">{{
            __('logbook.search.all') }}</a>@endunless</form>
    @foreach ($search->faults() as $fault)<p class="notice refusal mb-2" role="status">{{ $fault }}</p>@endforeach
    @if ($lines->isEmpty())
        @if ($search->isAll())
            <x-empty title="No line yet">Every step that touches a rubric, a script or a mark is written here.</x-empty>
        @else<x-empty :title="__('logbook.search.none')">{{ __('logbook.search.none_why') }}</x-empty>@endif
    @else
        <div class="sheet scroll"><table class="table stacked">
            <thead><tr><th class="num">Line</th><th>When</th><th>Who</th><th>What</th><th>Of</th>
            <th>With</th></tr></thead>
            <tbody>
                @foreach ($lines as $line)
                    @php $script = $line->subject_kind === 'script' ? $scripts[$line->subject] ?? null : null; @endphp
                    <tr>
                        <td class="num quiet" data-label="Line">{{ $line->number }}</td>
                        <td class="lg:whitespace-nowrap"
                            data-label="When">{{ App\Wording\LocalTime::shown($line->when()) }}</td>
                        <td data-label="Who">{{ $reading->who($line) }}</td>
                        <td>{{ $reading->what($line) }}</td>
                        <td data-label="Of">@if ($script)<a class="code"
                            href="{{ route('moderate.show', $script->leadScript()) }}">{{ $line->subject }}</a>@else{{
                            $reading->on($line) }}@endif</td>
                        <td class="quiet small">
                            {{ $line->event->tellsMark() && in_array($line->assignment, $blind, true)
                            ? __('logbook.hidden_while_marking') : implode('; ', $reading->with($line)) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table></div>
        <div class="flex flex-wrap gap-x-6 mt-3">{{ $lines->links('release.logbook-pages') }}
            <span class="ml-auto flex flex-wrap gap-x-5 small">
                <a href="{{ route('logbook.take', [$module, 'csv', ...$search->query()]) }}">{{ __('logbook.search.csv') }}</a>
                <a href="{{ route('logbook.take', [$module, 'jsonl', ...$search->query()]) }}">{{
                    __('logbook.search.excerpt') }}</a></span></div>
        <p class="quiet small mt-3">Its last line is signed. The public key anyone can check it with:
        <span class="code break-all whitespace-normal">{{ $key }}</span></p>
    @endif
</x-page>

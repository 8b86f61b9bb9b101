<x-page :title="__('grade-book.take').': '.$module->code" at="grade-book">
    <x-slot:head><div class="heading"><h1>{{ __('grade-book.take') }}</h1><a class="of"
        href="{{ route('grade-book.show', $module) }}">Grade book of {{ $module->fullTitle() }}</a></div></x-slot:head>
    <div class="split">
        <form class="panel" method="get" action="{{ route('grade-book.csv', $module) }}"><h2 class="mb-2">A table (CSV)</h2>
            <fieldset class="mb-3"><legend class="label">Columns</legend>
                @foreach ($columns as $one) @continue ($one === 'module' && ! $hasMarks)
                    <label class="block py-1"><input type="checkbox" name="columns[]" value="{{ $one }}"
                        @checked($one !== 'candidate')> {{ __("grade-book.column.{$one}") }}@if ($one === 'candidate' && $without > 0)
                        <span class="quiet small">{{ trans_choice('board.without', $without, ['count' => $without]) }}</span>@endif</label>
                @endforeach</fieldset>
            <div class="grid sm:grid-cols-2 gap-x-6">
                <x-choice name="separator" label="Between cells" :options="['comma' => 'comma', 'semicolon' => 'semicolon', 'tab' => 'tab']" />
                <x-choice name="decimals" label="In numbers" :options="['point' => 'a point: 58.4', 'comma' => 'a comma: 58,4']" /></div>
            <p class="hint mb-2">{{ __('grade-book.take_hint') }}</p>
            <div class="flex justify-end"><button class="button primary">Download</button></div></form>
        <aside class="panel self-start"><h2 class="mb-1">For another system</h2>
            <p class="quiet mb-3">{{ __('grade-book.oneroster') }}</p>
            <div class="flex justify-end"><a class="button" href="{{ route('grade-book.oneroster', $module) }}">Download as
                OneRoster</a></div></aside>
    </div>
</x-page>

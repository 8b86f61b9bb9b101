<x-page title="Rubrics" at="rubrics">
    <x-slot:head><div class="heading">
        <h1>Rubrics</h1><span class="of">{{ config('harbor.institution') }}</span></div></x-slot:head>
    <div class="split">
        <div>
            <form class="flex flex-wrap items-end gap-3 mb-4" method="get" action="{{ route('rubrics.index') }}"
                role="search">
                <label class="grow min-w-52"><span class="label">Words</span><input class="input" type="search" name="q"
                    value="{{ $wanted['q'] }}" placeholder="in titles and descriptors"></label>
                <label><span class="label">Kind</span><select class="input" name="kind"><option value="">any</option>
                @foreach (App\Queries\Plan\RubricLibrary::KINDS as $key => $words)<option value="{{ $key }}"
                    @selected($wanted['kind'] === $key)>{{ $words }}</option>@endforeach</select></label>
                <label><span class="label">Shelf</span><select class="input" name="shelf"><option value="">all</option>
                @foreach ($modules as $module)<option value="{{ $module->public_id }}"
                    @selected($wanted['shelf'] === $module->public_id)>{{ $module->code }}</option>@endforeach
                    <option value="own" @selected($wanted['shelf'] === 'own')>your own</option>
                    <option value="institution"
                        @selected($wanted['shelf'] === 'institution')>{{ config('harbor.institution') }}</option>
                        </select></label>
                <span><span class="label">Criteria</span><span class="flex items-center gap-1"><input
                    class="input w-16!" name="least" value="{{ $wanted['least'] }}" inputmode="numeric"
                    aria-label="Criteria at least"> to
                    <input class="input w-16!" name="most" value="{{ $wanted['most'] }}" inputmode="numeric"
                        aria-label="Criteria at most"></span></span>
                <label><span class="label">State</span><select class="input" name="state">
                    <option value="">in use</option>
                    @foreach (App\Enums\RubricState::cases() as $state)<option value="{{ $state->value }}"
                        @selected($wanted['state'] === $state->value)>
                        {{ __('plan.rubric_state.'.$state->value) }}</option>@endforeach</select></label>
                <button class="button">Find</button>
            </form>
            @if ($rubrics->isEmpty())
                @if (array_filter($wanted))
                    <x-empty title="Nothing fits"><a href="{{ route('rubrics.index') }}">Show all rubrics</a></x-empty>
                @else
                    <x-empty title="No rubric yet">
                        {{ $plans ? 'Begin one on the right: give it a title, then write its criteria and levels in place.'
                        : 'Rubrics of your modules are listed here once a coordinator has made one.' }}</x-empty>
                @endif
            @else
                <div class="sheet scroll"><table class="table">
                    <thead><tr><th>Rubric</th><th>Shelf</th><th class="num">Criteria</th><th>Marked by</th>
                    <th>State</th></tr></thead>
                    <tbody>
                        @foreach ($rubrics as $rubric)
                            <tr>
                                <td><a class="font-bold"
                                    href="{{ route('rubrics.show',
                                    $rubric) }}">{{ $rubric->title }}</a>@if ($rubric->provenance !== '')<br><span
                                    class="quiet small">{{ $rubric->provenance }}</span>@endif</td>
                                <td class="small">{{ $rubric->scope === App\Enums\RubricScope::Module
                                    ? $rubric->module->code : ($rubric->scope === App\Enums\RubricScope::Person
                                    ? 'your own' : 'everyone') }}</td>
                                <td class="num">{{ $rubric->criteria }}</td>
                                <td class="small">{{ collect(explode(' ', $rubric->kinds))
                                    ->map(fn ($kind) => App\Queries\Plan\RubricLibrary::KINDS[$kind] ?? $kind)
                                    ->implode(', ') }}</td>
                                <td class="whitespace-nowrap">
                                    {{ __('plan.rubric_state.'.$rubric->state->value) }}@if ($rubric->latestVersion), version {{ $rubric->latestVersion->number }}
                                    @endif</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table></div>
                @if ($rubrics->hasPages())
                    <p class="mt-3 flex gap-4"><span class="quiet">{{ $rubrics->firstItem() }}
                    to {{ $rubrics->lastItem() }} of {{ $rubrics->total() }}</span>
                        @if ($rubrics->previousPageUrl())<a
                            href="{{ $rubrics->previousPageUrl() }}">‹ previous</a>@endif
                            @if ($rubrics->nextPageUrl())<a href="{{ $rubrics->nextPageUrl() }}">next ›</a>@endif</p>
                @endif
            @endif
        </div>
        @if ($plans)
            <aside>
                <form class="panel mb-4" method="post" action="{{ route('rubrics.store') }}">
                    @csrf
                    <h2 class="mb-2">A new rubric</h2>
                    <x-field name="title" label="Title" required />
                    <x-choice name="as" label="It has"
                        :options="['levels' => 'criteria and levels', 'holistic' => 'one scale for the whole work']" />
                    <x-choice name="to" label="Shelf" :options="$shelves" :value="$for"
                        hint="A module’s rubrics are for its assignments, your own for all of yours." />
                    <div class="flex justify-end"><button class="button primary">Create</button></div>
                </form>
                <form class="panel" method="post" action="{{ route('rubrics.import') }}" enctype="multipart/form-data">
                    @csrf
                    <h2 class="mb-2">Import a rubric</h2>
                    <div class="field"><label class="label" for="f-file">A file</label><input class="input" type="file"
                        id="f-file" name="file" accept=".json,.csv,.tsv,.txt" required
                        aria-describedby="d-file"><div id="d-file">
                        <p class="hint">CASE 1.0 JSON, our own JSON, or a table as CSV. With a fault in it nothing is taken, and each fault is listed by its place.
                        </p></div></div>
                    <div class="field"><label class="label" for="f-import-to">Shelf</label><select class="input"
                        id="f-import-to" name="to">
                        @foreach ($shelves as $key => $words)<option value="{{ $key }}"
                        @selected($key === $for)>{{ $words }}</option>@endforeach</select></div>
                    <div class="flex justify-end"><button class="button">Import</button></div>
                </form>
            </aside>
        @endif
    </div>
</x-page>

<x-page title="Rubrics" at="rubrics">
    <x-slot:head><div class="heading"><h1>Rubrics</h1><span class="of">{{ config('harbor.institution') }}</span></div></x-slot:head>
    <div class="split">
        <div>
            @if ($rubrics->isEmpty())
                <x-empty title="No rubric yet">{{ $modules->isEmpty() ? 'Rubrics of your modules are listed here once a coordinator has made one.' : 'Begin one on the right: give it a title, then write its criteria and levels in place.' }}</x-empty>
            @else
                <div class="sheet scroll"><table class="table">
                    <thead><tr><th>Rubric</th><th>Module</th><th class="num">Criteria</th><th>State</th></tr></thead>
                    <tbody>
                        @foreach ($rubrics as $rubric)
                            <tr>
                                <td><a class="font-bold" href="{{ route('rubrics.show', $rubric) }}">{{ $rubric->title }}</a></td>
                                <td>{{ $rubric->module->code }}</td>
                                <td class="num">{{ count($rubric->document['criteria'] ?? []) }}</td>
                                <td>{{ $rubric->state->value }}@if ($rubric->latestVersion), version {{ $rubric->latestVersion->number }}@endif</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table></div>
            @endif
        </div>
        @if ($modules->isNotEmpty())
            <aside>
                <h2 class="mb-2">A new rubric</h2>
                @foreach ($modules as $module)
                    <form class="panel mb-3" method="post" action="{{ route('rubrics.store', $module) }}">
                        @csrf
                        <x-field name="title" label="Title" :hint="'In '.$module->fullTitle()" required />
                        <div class="flex justify-end"><button class="button primary">Begin it</button></div>
                    </form>
                @endforeach
            </aside>
        @endif
    </div>
</x-page>

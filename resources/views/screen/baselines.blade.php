<x-page title="Baselines of writing" at="modules">
    <x-slot:head><div class="heading">
        <h1>Baselines of writing</h1><a class="of"
        href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a></div></x-slot:head>
    <div class="split">
        <div>
            @if ($baselines->isEmpty())
                <x-empty title="This module has no baseline yet">
                    Writing signals compare a script with texts you trust: supervised writing, or essays of years before writing programs. Make one here, then add texts.
                    </x-empty>
            @else
                <div class="sheet scroll" tabindex="0"><table class="table">
                    <thead><tr><th>Name</th><th>Language</th><th class="num">Texts</th><th class="num">That belong</th>
                    <th class="num">Lowest alarm</th><th class="num">Version</th></tr></thead>
                    <tbody>@foreach ($baselines as $one)<tr>
                        <td><a href="{{ route('baselines.show', $one) }}">{{ $one->name }}</a></td>
                        <td>{{ $one->language }}</td><td class="num">{{ $one->texts_count }}</td>
                        <td class="num">{{ $one->isWorkedOut() ? $one->size : '' }}</td>
                        <td class="num">{{ $one->isWorkedOut() && $one->size > 0 ? number_format($one->lowestAlarm(), 3)
                            : '' }}</td><td class="num">{{ $one->version }}</td></tr>@endforeach</tbody>
                </table></div>
            @endif
        </div>
        <aside class="panel self-start"><h2 class="mb-2">A new baseline</h2>
            <form method="post" action="{{ route('baselines.store', $module) }}">@csrf
                <x-field name="name" label="Name" :value="old('name')" placeholder="Supervised writing, October" />
                <x-field name="language" label="Language of its texts" :value="old('language', 'English')" />
                <div class="flex justify-end"><button class="button primary">Create the baseline</button></div>
            </form></aside>
    </div>
</x-page>

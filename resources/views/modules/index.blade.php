<x-page title="Modules" at="modules">
    <x-slot:head><div class="heading">
        <h1>Modules</h1><span class="of">{{ config('harbor.institution') }}</span></div></x-slot:head>
    @if ($modules->isEmpty())
        <x-empty title="No module yet">
            {{ $person->is_admin ? 'Create the first one below.'
            : 'You are not in a module yet. Your module coordinator adds you.' }}</x-empty>
    @else
        <div class="sheet scroll"><table class="table">
            <thead><tr><th>Module</th><th>You are</th><th class="num">Assignments</th></tr></thead>
            <tbody>
                @foreach ($modules as $module)
                    <tr>
                        <td><a class="font-bold"
                            href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a></td>
                        <td>{{ $person->roleIn($module->id)?->label() ?? 'administrator' }}</td>
                        <td class="num">{{ $module->assignments_count }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table></div>
    @endif
    @can('create', App\Models\Module::class)
        <h2 class="mt-8 mb-2">A new module</h2>
        <form class="panel max-w-2xl" method="post" action="{{ route('modules.store') }}">
            @csrf
            <div class="grid sm:grid-cols-[140px_1fr] gap-4"><x-field name="code" label="Code" required />
            <x-field name="title" label="Title" required /></div>
            <div class="grid sm:grid-cols-2 gap-4"><x-field name="coordinator_name" label="Coordinator" required />
            <x-field name="coordinator_email" label="Their e-mail address" type="email" required /></div>
            @if ($errors->has('code') && old('code') !== null)<label class="block mb-3"><input type="checkbox"
                name="same" value="1"> another module of this code</label>@endif
            <div class="flex justify-end"><button class="button primary">Create the module</button></div>
        </form>
    @endcan
</x-page>

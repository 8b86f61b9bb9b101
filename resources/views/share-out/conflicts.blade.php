<x-page title="Conflicts of interest" at="modules">
    <x-slot:head><div class="heading">
        <h1>Conflicts of interest</h1><a class="of"
        href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a></div></x-slot:head>
    <div class="split">
        <div>
            @if ($conflicts->isEmpty())
                <x-empty title="None is recorded">
                    A tutor who is related to a student, or works with them, does not mark their work. Record it here, and no plan of any assignment will match them.
                    </x-empty>
            @else
                <div class="sheet scroll"><table class="table">
                    <thead><tr><th>Does not mark</th><th>Work of</th><th>Why</th><th></th></tr></thead>
                    <tbody>@foreach ($conflicts as $one)<tr><td>{{ $one->marker->name }}</td>
                    <td>{{ $one->student->name }}</td><td>{{ $one->reason }}</td>
                        <td><form method="post" action="{{ route('conflicts.destroy', $one) }}">@csrf
                        @method('delete')<button class="link small"
                            aria-label="Take back that {{ $one->marker->name }} does not mark {{ $one->student->name }}">
                            take back</button></form></td></tr>@endforeach</tbody>
                </table></div>
            @endif
            <p class="quiet small mt-3">
                Coordinators of this module see this page, and nobody else. No page of a marker is drawn from it: a tutor cannot tell a script that was kept from them from one that went elsewhere.
                </p>
        </div>
        <aside>
            <form class="panel" method="post" action="{{ route('conflicts.store', $module) }}">@csrf
                <x-choice name="marker" label="Does not mark"
                    :options="['' => 'choose']
                    + $staff->mapWithKeys(fn ($member) => [$member->public_id => $member->user->name])->all()" />
                <x-choice name="student" label="Work of"
                    :options="['' => 'choose']
                    + $students->mapWithKeys(fn ($member) => [$member->public_id => $member->user->name])->all()" />
                <x-field name="reason" label="Why" hint="In a few words." />
                <div class="flex justify-end"><button class="button primary">Record it</button></div>
            </form>
        </aside>
    </div>
</x-page>

<x-page :title="'Groups: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Collect" slim /></x-slot:head>
    <div class="flex items-baseline gap-5 mb-3">
        <h2>Groups</h2><span class="quiet">handed in by {{ $assignment->handin_by->label() }}</span><a class="ml-auto"
        href="{{ route('collect.index', $assignment) }}">who has handed in</a></div>
    @if (! $assignment->usesGroups())
        <x-empty title="Each student hands in alone here">Choose “a group” under
        <a href="{{ route('plan.edit',
            $assignment) }}">Plan</a>, What is handed in, as long as nothing has come in.</x-empty>
    @elseif ($scripts->isEmpty())
        <x-empty title="No students yet">Groups are made once the assignment is open to its students.</x-empty>
    @else
        <div class="split">
            <div class="sheet scroll self-start"><table class="table">
                <thead><tr><th>Group</th><th>Members</th></tr></thead>
                <tbody>
                    @foreach ($scripts->groupBy(fn ($script) => $script->group_name ?? '') as $group => $members)
                        <tr><td class="font-bold whitespace-nowrap">{{ $group === '' ? 'in no group' : $group }}</td>
                        <td>{{ $members->map(fn ($script) => $script->student->name)
                            ->implode(', ') }}@if ($members->contains(
                            fn ($script) => $script->current_handin_id !== null))
                            <span class="quiet small">handed in</span>@endif</td></tr>
                    @endforeach
                </tbody>
            </table></div>
            <aside>
                <form class="panel mb-4" method="post" action="{{ route('groups.draw', $assignment) }}">@csrf
                    <h2 class="mb-2">Draw them</h2>
                    <div class="grid grid-cols-2 gap-x-4">
                        <x-field name="size" label="Members each" inputmode="numeric" value="4" />
                        <x-field name="seed" label="Seed" inputmode="numeric" :value="random_int(1, 9999)"
                            hint="The same seed draws the same groups." /></div>
                    <div class="flex justify-end"><button class="button">Draw the groups</button></div>
                </form>
                <form class="panel" method="post" action="{{ route('groups.store', $assignment) }}">@csrf
                    <h2 class="mb-2">Or write them</h2>
                    <x-field name="lines" label="A line a student" rows="12" :value="$lines"
                        hint="E-mail address or number, comma, group. Nothing after the comma: in no group, hands in alone." />
                    <div class="flex justify-end"><button class="button primary">Set the groups</button></div>
                </form>
            </aside>
        </div>
    @endif
</x-page>

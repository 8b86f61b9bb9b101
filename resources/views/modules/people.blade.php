<x-page :title="'People of '.$module->code" at="modules">
    <x-slot:head><div class="heading"><h1>People</h1><a class="of" href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a></div></x-slot:head>
    <div class="split">
        <div>
            @forelse ($members as $role => $list)
                <h2 class="mb-2">{{ ucfirst(App\Enums\Role::from($role)->label()) }}{{ $list->count() > 1 ? 's' : '' }} <span class="quiet font-normal">{{ $list->count() }}</span></h2>
                <div class="sheet scroll mb-6"><table class="table">
                    <thead><tr><th>Name</th><th>Mail address</th><th>Number</th><th>Section</th></tr></thead>
                    <tbody>
                        @foreach ($list as $member)
                            <tr><td>{{ $member->user->name }}</td><td>{{ $member->user->email }}</td><td>{{ $member->user->number }}</td><td>{{ $member->section }}</td></tr>
                        @endforeach
                    </tbody>
                </table></div>
            @empty
                <x-empty title="Nobody yet">Add people on the right, a line each.</x-empty>
            @endforelse
        </div>
        <form method="post" action="{{ route('people.store', $module) }}">
            @csrf
            <h2 class="mb-2">Add people</h2>
            <div class="panel">
                <x-choice name="role" label="They are" :options="['student' => 'Students', 'tutor' => 'Tutors', 'examiner' => 'External examiners', 'coordinator' => 'Coordinators']" value="student" />
                <x-field name="lines" label="A line each" rows="8" hint="Name, mail address, number, section. The last two may be left out. Lines copied from a spreadsheet work too." placeholder="Ólafur Brandsson, olafur.brandsson@merrow.example, M2041, A" />
                <div class="flex justify-end"><button class="button primary">Add them</button></div>
            </div>
        </form>
    </div>
</x-page>

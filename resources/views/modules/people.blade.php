@php($admin = ! auth()->user()->can('coordinate', $module))
<x-page :title="'People of '.$module->code" at="modules">
    <x-slot:head><div class="heading">
        <h1>People</h1><a class="of" href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a></div>
        </x-slot:head>
    <div class="split">
        <div>
            @foreach ($staff as $role => $list)
                <h2 class="mb-2">{{ ucfirst(App\Enums\Role::from($role)->label()) }}{{ $list->count() > 1 ? 's' : '' }}
                <span class="quiet font-normal">{{ $list->whereNull('left_at')
                    ->count() }}{{ $list->whereNotNull('left_at')->isEmpty() ? ''
                    : ', '.$list->whereNotNull('left_at')->count().' left' }}</span></h2>
                @include('modules.people-table', ['list' => $list, 'ofStaff' => true])
            @endforeach
            @if ($here + $left === 0)
                <x-empty title="No students yet">Import a roster, or add people a line each.</x-empty>
            @else
                <div class="flex flex-wrap items-center gap-x-5 gap-y-2 mb-2">
                    <h2>Student{{ $here === 1 ? '' : 's' }}
                    <span class="quiet font-normal">{{ number_format($here) }}{{ $left === 0 ? ''
                        : ", {$left} left" }}</span></h2>
                    <form class="flex gap-2 ml-auto" method="get" action="{{ route('people.index', $module) }}"
                        role="search"><label class="sr-only"
                        for="f-q">Find a student by name, e-mail address, number or section</label><input
                        class="input w-56!" id="f-q" type="search" name="q" value="{{ $search }}"
                        placeholder="name, number, section"><button class="button">Find</button></form></div>
                @if ($students->isEmpty())<p class="quiet mb-4">Nobody matches.
                <a href="{{ route('people.index', $module) }}">Show everyone</a></p>
                @else
                    @include('modules.people-table', ['list' => $students, 'ofStaff' => false])
                    <x-pages :pages="$students" />
                @endif
            @endif
        </div>
        <aside>
            <form class="panel mb-4" method="post" enctype="multipart/form-data"
                action="{{ route('rosters.store', $module) }}">@csrf
                <h2 class="mb-1">Import a roster</h2>
                <p class="hint mb-2">A table as .csv, or a ZIP with OneRoster 1.2 files. You see what would change before anything does.
                </p>
                <label class="sr-only" for="f-roster">A roster file</label>
                <input class="input" id="f-roster" type="file" name="roster" accept=".csv,.txt,.zip">
                @error('roster')<p class="error">{{ $message }}</p>@enderror
                <div class="flex justify-end mt-2"><button class="button">Preview</button></div>
                @if ($here > 0 || $staff->isNotEmpty())<p class="small mt-3">Export:
                <a href="{{ route('rosters.export', [$module, 'csv']) }}">as CSV</a>,
                <a href="{{ route('rosters.export', [$module, 'oneroster']) }}">as OneRoster</a></p>@endif
            </form>
            <form class="panel" method="post" action="{{ route('people.store', $module) }}">@csrf
                <h2 class="mb-2">Or add people here</h2>
                <x-choice name="role" label="They are"
                    :options="['student' => 'Students', 'tutor' => 'Tutors', 'examiner' => 'External examiners',
                    'coordinator' => 'Coordinators']" value="student" />
                <x-field name="lines" label="A line each" rows="6"
                    hint="Name, e-mail address, number, section. The last two may be left out. Lines copied from a spreadsheet work too."
                    placeholder="Ólafur Brandsson, olafur.brandsson@merrow.example, M2041, A" />
                <div class="flex justify-end"><button class="button primary">Add them</button></div>
            </form>
        </aside>
    </div>
</x-page>

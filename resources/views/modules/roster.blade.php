@php
    use YoungHarbor\Core\Formats\RosterTable;
    $chosen = $import->choices;
    $shown = 100;
    $most = fn (array $rows) => array_slice($rows, 0, $shown);
    $kinds = $comparison === null ? []
        : ['added' => ['Would be added', $comparison->added], 'changed' => ['Would be changed', $comparison->changed],
        'back' => ['Would be back', $comparison->back], 'same' => ['Stay as they are', $comparison->same]];
@endphp
<x-page :title="'A roster for '.$module->code" at="modules">
    <x-slot:head><div class="heading">
        <h1>A roster</h1><a class="of"
        href="{{ route('people.index',
        $module) }}">People of {{ $module->fullTitle() }}</a><span class="of">{{ $import->file_name }}</span></div>
        </x-slot:head>
    <div class="split">
        <div>
            @if ($comparison === null)
                <x-empty title="Say what is what">{{ $why }}</x-empty>
            @else
                @if ($comparison->faults !== [])
                    <div class="notice refusal mb-4">
                        <p class="font-bold">{{ count($comparison->faults) === 1
                        ? 'One line has a fault and is left out.'
                        : number_format(count($comparison->faults)).' lines have faults and are left out.' }}
                        {{ ($chosen['complete'] ?? false) ? 'While they do, nobody is taken to have left.' : '' }}</p>
                        <ul class="mt-1">@foreach ($most($comparison->faults) as $fault)<li>{{ ucfirst($fault) }}</li>
                        @endforeach</ul>@if (count($comparison->faults) > $shown)
                        <p>… and {{ number_format(count($comparison->faults) - $shown) }} more.</p>@endif</div>
                @endif
                @if ($chosen['read_as'] ?? null)<p class="notice mb-4">
                    The file is not in UTF-8; it was read as {{ $chosen['read_as'] }}. Look whether names with accents are right.
                    </p>@endif
                @foreach ($kinds as $key => [$title, $rows])
                    @if ($rows !== [])
                        <details class="mb-4" @if ($key !== 'same') open @endif>
                            <summary><b>{{ $title }}</b>
                            <span class="quiet">{{ number_format(count($rows)) }}</span></summary>
                            <div class="sheet scroll mt-2"><table class="table stacked"><thead><tr><th>Name</th>
                            <th>E-mail address</th><th>Number</th><th>Section</th>
                            <th>{{ $key === 'added' ? 'As' : 'What' }}</th></tr></thead><tbody>
                                @foreach ($most($rows) as $row)
                                    <tr><td class="font-bold">{{ $row->person->name }}</td>
                                    <td>{{ $row->person->email }}</td>
                                    <td>{{ $row->person->number }}@if ($row->person->candidate)
                                    <span class="quiet small">candidate {{ $row->person->candidate }}</span>@endif</td>
                                    <td>{{ $row->person->section }}@if ($row->person->group)
                                    <span class="quiet small">{{ $row->person->group }}</span>@endif</td>
                                        <td>{{ $key === 'added' ? App\Enums\Role::from($row->person->role)
                                            ->label().($row->known ? ', has an account' : '')
                                            : implode('; ', $row->changes) }}@foreach ($row->stays as $stays)
                                            <span class="quiet small block">left as it is: {{ $stays }}</span>
                                            @endforeach</td></tr>
                                @endforeach
                            </tbody></table></div>
                            @if (count($rows) > $shown)<p class="quiet small mt-1">The first {{ $shown }}
                            of {{ number_format(count($rows)) }}.</p>@endif
                        </details>
                    @endif
                @endforeach
                @if ($comparison->left !== [])
                    <details class="mb-4" open>
                        <summary><b class="signal">Would be noted as left</b>
                        <span class="quiet">{{ number_format(
                            count($comparison->left)) }}; their work and marks stay</span></summary>
                        <div class="sheet scroll mt-2"><table class="table"><tbody>
                            @foreach ($most($comparison->left) as $known)<tr>
                            <td class="font-bold">{{ $known->name }}</td><td>{{ $known->email }}</td>
                            <td>{{ $known->number }}</td>
                            <td>{{ $known->section }}</td></tr>@endforeach</tbody></table></div></details>
                @endif
                @if ($comparison->changesNothing() && ! ($chosen['groups'] ?? null))
                    <x-empty title="Nothing would change">Everyone in this roster is here as it says.</x-empty>
                @else
                    <form class="flex justify-end items-baseline gap-4" method="post"
                        action="{{ route('rosters.apply', $import) }}">@csrf
                        <input type="hidden" name="seen" value="{{ $comparison->sum() }}">
                        <span class="quiet small">All of it, or nothing.{{ $comparison->added !== []
                            ? ' New people get a mail to choose a password.' : '' }}</span>
                        <button class="button primary">
                            Apply it{{ $comparison->faults === [] ? ''
                            : ', leaving out '.(count($comparison->faults) === 1 ? 'one line'
                            : number_format(count($comparison->faults)).' lines') }}</button>
                    </form>
                @endif
            @endif
        </div>
        <aside>
            <form class="panel" method="post" action="{{ route('rosters.update', $import) }}">@csrf @method('put')
                @if ($import->kind === 'table')
                    <h2 class="mb-2">Which column is what</h2>
                    @foreach (RosterTable::FIELDS as $field => $label)
                        <div class="grid grid-cols-[110px_1fr] items-center gap-2 mb-2">
                            <label for="f-column-{{ $field }}">{{ $label }}</label>
                            <select class="input" id="f-column-{{ $field }}" name="columns[{{ $field }}]">
                                <option value="">not in it</option>
                                @foreach ($headings as $n => $heading)<option value="{{ $n }}"
                                    @selected(($chosen['columns'][$field] ?? null) === $n)>
                                    {{ $heading === '' ? 'column '.($n + 1) : $heading }}</option>@endforeach</select>
                                    </div>
                    @endforeach
                    @if ($roles !== [])
                        <h3 class="mt-3 mb-1">What roles are called in it</h3>
                        @foreach ($roles as $word => $of)
                            <div class="grid grid-cols-[110px_1fr] items-center gap-2 mb-2">
                                <label for="f-roles-{{ $loop->index }}">{{ $word }}
                                <span class="quiet small">{{ $of['lines'] }}</span></label>
                                <select class="input" id="f-roles-{{ $loop->index }}" name="roles[{{ $word }}]">
                                    <option value="">choose</option>
                                    @foreach (App\Enums\Role::cases() as $role)<option value="{{ $role->value }}"
                                        @selected($of['role'] === $role->value)>{{ $role->label() }}</option>@endforeach
                                        <option value="skip" @selected($of['role'] === 'skip')>left out</option>
                                        </select></div>
                        @endforeach
                    @else
                    <x-choice name="role" label="They are" :options="['student' => 'students', 'tutor' => 'tutors']"
                        :value="$chosen['role'] ?? 'student'" />
                    @endif
                    @if ($unused !== [])<p class="hint mb-3">Not used: {{ implode(', ', $unused) }}.</p>@endif
                    @if ($assignments->isNotEmpty())<x-choice name="groups" label="Groups are for"
                        :options="['' => 'no assignment'] + $assignments->pluck('title', 'public_id')->all()"
                        :value="$chosen['groups'] ?? ''" />@endif
                @else
                    <h2 class="mb-2">Classes of this module</h2>
                    <p class="hint mb-2">Each becomes a section.</p>
                    <div class="max-h-80 overflow-y-auto mb-3">
                        @foreach ($classes as $id => $class)
                            <label class="flex items-start gap-2 py-1"><input type="checkbox" name="classes[]"
                                value="{{ $id }}" @checked(in_array((string) $id, $chosen['classes'] ?? [], true))>
                                <span>{{ $class['title'] }}
                                <span class="quiet small">{{ $class['code'] === '' ? ''
                                    : "{$class['code']}, " }}{{ number_format($class['people']) }}
                                    people</span></span></label>
                        @endforeach
                    </div>
                @endif
                <label class="flex items-start gap-2 mb-2"><input class="mt-1" type="checkbox" name="complete" value="1"
                    @checked($chosen['complete'] ?? false)>
                    <span>It names every student: who is not in it has left</span></label>
                <div class="flex justify-end">
                    <button @class(['button', 'primary' => $comparison === null])>Preview again</button></div>
            </form>
            <p class="quiet small mt-3">
                Nothing is changed by looking. Names, numbers and e-mail addresses of accounts that their owners use stay as they are; sections follow the roster. The file is deleted once it is applied, or after a day.
                </p>
        </aside>
    </div>
</x-page>

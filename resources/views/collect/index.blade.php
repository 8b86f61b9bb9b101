@php
    use App\Support\Clock;
    $names = ['' => 'Everyone', 'in' => 'Handed in', 'late' => 'Late', 'missing' => 'Not handed in', 'unopened' => 'Brief not opened'];
@endphp
<x-page :title="'Collect: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Collect" /></x-slot:head>
    @if ($groups['']->isEmpty())
        <x-empty title="Nobody to collect from">{{ $assignment->isPublished() ? 'There is no student in this module yet. Add them under People.' : 'Students are listed here once the assignment is open to them.' }}</x-empty>
    @else
        @if ($assignment->handin_by->isGroup())<p class="mb-3">Handed in by {{ $assignment->handin_by->label() }}. <a href="{{ route('groups.index', $assignment) }}">The groups</a></p>@endif
        <div class="chips mb-3">
            @foreach ($names as $key => $name)
                <a href="{{ route('collect.index', [$assignment, 'show' => $key ?: null]) }}" aria-current="{{ $filter === $key ? 'true' : 'false' }}">{{ $name }} {{ $groups[$key]->count() }}</a>
            @endforeach
        </div>
        <div class="sheet scroll"><table class="table">
            <thead><tr><th>Student</th><th>Number</th><th>Brief opened</th><th>Handed in</th><th class="num">Attempt</th><th></th></tr></thead>
            <tbody>
                @forelse ($scripts as $script)
                    @php($in = $script->currentHandin)
                    <tr>
                        <td><b>{{ $script->student->name }}</b>@if ($script->group_name) <span class="quiet small">{{ $script->group_name }}</span>@endif</td>
                        <td>{{ $script->student->number }}</td>
                        <td>{{ $script->brief_opened_at ? Clock::shown($script->brief_opened_at) : 'not yet' }}</td>
                        <td>{{ $in ? Clock::shown($in->received_at) : 'not yet' }}</td>
                        <td class="num">{{ $in?->attempt }}</td>
                        <td>@if ($in?->late)<span class="signal">late</span>@elseif (! $in && $assignment->isPastDue())<span class="signal">missing</span>@endif</td>
                    </tr>
                @empty
                    <tr><td colspan="6" class="quiet">Nobody in this list.</td></tr>
                @endforelse
            </tbody>
        </table></div>
        <p class="quiet small mt-3">Names stand here without script codes, and elsewhere codes stand without names, until you reveal them at release. Length and kind of a file are left out here, since they would lead from one to the other.</p>
    @endif
</x-page>

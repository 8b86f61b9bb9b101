@php
    use App\Wording\LocalTime;
    $student = $member->role === App\Enums\Role::Student;
    $standing = $allowances->firstWhere('ended_at', null);
@endphp
<x-page :title="$member->user->name" at="modules">
    <x-slot:head><div class="heading">
        <h1>{{ $member->user->name }}</h1><a class="of"
        href="{{ route('people.index', $module) }}">People of {{ $module->fullTitle() }}</a></div></x-slot:head>
    <div class="split">
        <div>
            @if ($student)
                @includeWhen($own !== null, 'release.module-mark-panel')
                <h2 class="mb-2">Due times</h2>
                @forelse ($scripts as $script)
                    @php
                        $time = $times[$script->id] ?? null;
                        $given = $extensions[$script->assignment_id] ?? collect();
                        $active = $given->firstWhere('ended_at', null);
                        $in = $script->currentHandin;
                        $late = $script->assignment->markRules()->late;
                    @endphp
                    <section class="sheet mb-4 px-5 py-4" id="a-{{ $script->assignment->public_id }}">
                        <div class="flex flex-wrap items-baseline gap-x-4">
                            <h3>{{ $script->assignment->title }}</h3><span>due
                            <b>{{ LocalTime::shown($script->due_at) }}</b></span>
                            <span class="quiet">{{ match (true) { $in === null => 'nothing handed in yet',
                                ! App\Queries\Collect\Cohort::showsWhen($script->assignment) => __('discuss.has_written_some'),
                                default => 'handed in '.LocalTime::shown($in->received_at) } }}</span>
                            @if ($in?->late)<b class="signal">late{{ $script->waived_at ? ', waived'
                                : '' }}</b>@endif</div>
                        @if ($time && count($time->working->lines) > 1)<div class="scroll mt-2">
                            <x-working :lines="$time->working->toArray()" /></div>@endif
                        @foreach ($given as $extension)
                            <p class="small mt-2 {{ $extension->ended_at ? 'quiet' : '' }}">
                                Extension to {{ LocalTime::shown($extension->due_at) }}: {{ $extension->reason }}
                                <span class="quiet">({{ $extension->giver->name }}, {{ LocalTime::shown(
                                    $extension->created_at) }}{{ $extension->ended_at
                                    ? '; taken back '.LocalTime::shown($extension->ended_at) : '' }})</span></p>
                        @endforeach
                        @if ($in?->late && $late)<p class="small mt-2">
                            {{ $script->waived_at ? 'Lateness waived: '.$script->waived_reason
                            : ($late->units($script->lateness()) > 0 ? $late->working($script->lateness())
                            : 'Late, and it costs nothing under the rule: '.$late->sentence()).'.' }}</p>@endif
                        @include('modules.cases', ['cases' => $cases[$script->id] ?? collect()])
                        @if ($in && $script->assignment->namesRevealed())<p class="small mt-2">
                            <a href="{{ route('moderate.show', $script->leadScript()) }}">The marks</a>@if (($talks[$script->id]
                            ?? 0) > 0) · <a href="{{ route('screen.show', $script) }}">{{ trans_choice('member-notes.talks',
                            (int) $talks[$script->id], ['count' => $talks[$script->id]]) }}</a>@endif</p>@endif
                        @if ($script->result)<p class="quiet small mt-2">
                            The <a href="{{ route('results.show', $script->result) }}">result</a> is out, so nothing here can change; it can be corrected.</p>@endif
                        <div class="flex flex-wrap items-start gap-x-6 gap-y-2 mt-3">
                            @unless ($script->result)
                                <details><summary>{{ $active ? 'Another extension' : 'Give an extension' }}</summary>
                                    <form class="mt-2 w-80 max-w-full" method="post"
                                        action="{{ route('scripts.extension', $script) }}">@csrf
                                        <label class="label" for="f-extension-{{ $loop->index }}">Due for this student</label>
                                        <input class="input mb-2" id="f-extension-{{ $loop->index }}"
                                            type="datetime-local" name="extension"
                                            value="{{ old('extension', LocalTime::field($script->due_at)) }}" required>
                                        <label class="label" for="f-extension-reason-{{ $loop->index }}">Why</label>
                                        <input class="input" id="f-extension-reason-{{ $loop->index }}"
                                            name="extension_reason" value="{{ old('extension_reason') }}" required
                                            maxlength="500">
                                        <p class="hint">Coordinators read this here, and nobody else. The student is told the new time by mail.
                                        </p>
                                        <div class="flex justify-end mt-2"><button class="button">Give it</button></div>
                                    </form></details>
                                @if ($active)<form method="post"
                                    action="{{ route('scripts.extension', $script) }}">@csrf<input type="hidden"
                                    name="take_back" value="1"><button class="link">Take the extension back</button>
                                    </form>@endif
                                @if ($script->waived_at)
                                    <form method="post" action="{{ route('scripts.waiver', $script) }}">
                                        @csrf<input type="hidden" name="take_back"
                                        value="1"><button class="link">Let the lateness count again</button></form>
                                @elseif ($in?->late)
                                    <details><summary>Waive the lateness</summary>
                                        <form class="mt-2 w-80 max-w-full" method="post"
                                            action="{{ route('scripts.waiver', $script) }}">@csrf
                                            <label class="label" for="f-waiver-{{ $loop->index }}">Why</label>
                                            <input class="input" id="f-waiver-{{ $loop->index }}" name="waiver" required
                                                maxlength="500">
                                            <p class="hint">The work stays marked as late; it costs nothing.</p>
                                            <div class="flex justify-end mt-2">
                                                <button class="button">Waive it</button></div>
                                        </form></details>
                                @endif
                            @endunless
                            @unless ($script->result)@include('modules.case-form')@endunless
                            @if ($in)
                                <details><summary>Open the original</summary>
                                    <form class="mt-2 w-80 max-w-full" method="post"
                                        action="{{ route('scripts.original', $script) }}">@csrf
                                        @if ($in->files->count() > 1)<label class="label"
                                            for="f-number-{{ $loop->index }}">File</label><select class="input mb-2"
                                            id="f-number-{{ $loop->index }}" name="number">
                                            @foreach ($in->files as $file)<option>{{ $file->position }}</option>
                                            @endforeach</select>@endif
                                        <label class="label" for="f-original-{{ $loop->index }}">Why</label>
                                        <input class="input" id="f-original-{{ $loop->index }}" name="original_reason"
                                            required maxlength="500">
                                        <p class="hint">As it came in, with whatever names are in it; you may know its script again by it. This is logged with your reason.
                                        </p>
                                        <div class="flex justify-end mt-2"><button class="button">Open it</button></div>
                                    </form></details>
                            @endif
                        </div>
                    </section>
                @empty
                    <x-empty title="No assignment yet">
                        Each one that is open to students is listed here with this student’s due time.</x-empty>
                @endforelse
                <p class="quiet small">Markers see nothing of this page: no extension, no allowance, no lateness.</p>
            @else
                <x-empty :title="ucfirst($member->role->label())">What {{ $member->user->name }}
                marks is listed under Share out and Mark.</x-empty>
            @endif
        </div>
        <aside>
            <section class="panel mb-4">
                <p>{{ ucfirst($member->role->label()) }}@if ($member->user->number), {{ $member->user->number }}@endif
                </p>
                <p class="quiet small break-words">{{ $member->user->email }}</p>
                @if ($member->left_at)<p class="signal mt-2">
                    Left {{ LocalTime::day($member->left_at) }}. Work and marks are kept.</p>@endif
                <form class="mt-3" method="post" action="{{ route('members.update', $member) }}">@csrf @method('put')
                    <x-field name="section" label="Section" :value="$member->section" maxlength="40" />
                    <x-choice name="left" label="In this module"
                        :options="['0' => 'yes', '1' => 'has left; work and marks stay']"
                        :value="$member->left_at ? '1' : '0'" />
                    @error('left')<p class="error">{{ $message }}</p>@enderror
                    <div class="flex justify-end"><button class="button">Save</button></div>
                </form>
            </section>
            @includeWhen($student, 'modules.member-notes')
            @if ($student)
                <section class="panel">
                    <h2 class="mb-1">Standing allowances</h2>
                    <p class="mb-2">@if ($standing)<b>{{ $standing->inWords() }}</b>@else
                    Nothing beyond what everyone has.@endif</p>
                    <form method="post" action="{{ route('members.allowance', $member) }}">@csrf
                        <div class="grid grid-cols-2 gap-x-4">
                            <x-field name="extra_days" label="Extra days" inputmode="numeric"
                                :value="$standing->extra_days ?? 0" />
                            <x-field name="extra_percent" label="Extra time, %" inputmode="numeric"
                                :value="$standing->extra_percent ?? 0" />
                        </div>
                        <p class="hint mb-2">Every assignment applies it by itself: extra days, or in those of {{ YoungHarbor\Core\Marks\DueTime::TIMED_HOURS }}
                        hours from opening to due the share of extra time. Both 0 ends it.</p>
                        <x-field name="reason" label="Why" :value="$standing->reason ?? ''" maxlength="500"
                            hint="Coordinators read this here, and nobody else." />
                        <div class="flex justify-end"><button class="button">Save</button></div>
                    </form>
                    @foreach ($allowances as $allowance)
                        <p class="small mt-2 {{ $allowance->ended_at ? 'quiet' : '' }}">
                            {{ $allowance->inWords() }}: {{ $allowance->reason }}
                            <span class="quiet">({{ $allowance->giver->name }}, {{ LocalTime::shown(
                                $allowance->created_at) }}{{ $allowance->ended_at
                                ? '; until '.LocalTime::shown($allowance->ended_at) : '' }})</span></p>
                    @endforeach
                </section>
            @endif
        </aside>
    </div>
</x-page>

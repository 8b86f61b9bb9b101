{{--
    The conversation record of a script. Needs $script, $assignment, $from (overlap or writing), $entries (null for who
    may not see them), $named, $staff; of the overlap page $current and $reading.
--}}
@php
    use App\Enums\ConversationFinding;
    use App\Wording\LocalTime;
    $coordinates = auth()->user()->can('coordinate', $script);
    $run = $from === 'overlap' && ($current ?? null) ? $reading['number'] : null;
    $prepared = $questions ?? '';
@endphp
<section id="record" class="mt-8" aria-labelledby="record-title">
    <h2 id="record-title" class="mb-1">Conversation record</h2>
    <p class="quiet small mb-3">
        What was seen, asked, said and decided, and by whom. No mark follows from it. Entries stay as they were written; {{ $named === []
        ? 'the module’s coordinators can read them'
        : 'the module’s coordinators and '.implode(', ',
        $named).' can read them' }}. The student reads only what a coordinator lets them read, entry by entry.</p>
    <div class="grid lg:grid-cols-2 gap-8">
        <form method="post" action="{{ route('screen.record', [$script, ...($asked ?? [])]) }}" class="panel self-start"
            hx-boost="false">@csrf
            <input type="hidden" name="from" value="{{ $from }}">
            @if ($run)<input type="hidden" name="run" value="{{ $run }}">@endif
            <fieldset class="mb-3"><legend class="label">What is this entry?</legend>
                @foreach (ConversationFinding::cases() as $found)<label class="block py-1"><input type="radio"
                    name="found" value="{{ $found->value }}" @checked(old('found') === $found->value) required>
                    {{ $found->label() }}</label>@endforeach
            </fieldset>
            <x-field name="why" label="Why" rows="4" :value="old('why')"
                hint="What you saw or heard, and what speaks for an ordinary explanation." />
            <x-field name="questions" label="Questions for a talk" :rows="$prepared === '' ? 2 : 5"
                :value="old('questions', $prepared)"
                hint="Change them or leave them out. They ask how the text came to be." />
            <fieldset class="mb-3"><legend class="label">Kept with it, as it stands now</legend>
                <label class="block py-1"><input type="checkbox" name="evidence[]" value="overlap"
                    @checked($from === 'overlap')> Text overlap{{ $run ? ", with run {$run}" : '' }}</label>
                @if ($assignment->writing_baseline_id !== null)<label class="block py-1"><input type="checkbox"
                    name="evidence[]" value="writing" @checked($from === 'writing')> Writing signals</label>@endif
            </fieldset>
            @if ($coordinates)
                <label class="block py-1"><input type="checkbox" name="student_sees" value="1"
                    @checked(old('student_sees'))> The student may read this entry
                    <span class="hint">They are told by e-mail and on Today that there is something to read; what it says stands here only.</span></label>
                @if ($script->result === null)<label class="block py-1 mb-2"><input type="checkbox" name="hold"
                    value="1" @checked($script->held_reason !== null) @disabled($script->held_reason !== null)>
                    Hold the result meanwhile{{ $script->held_reason !== null
                        ? ' (it is held: '.$script->held_reason.')' : '' }}</label>@endif
            @endif
            <div class="flex justify-end mt-2"><button class="button primary">Write it down</button></div>
        </form>
        <div>
            @if ($entries === null)
                <p class="quiet">What others wrote is for those named in the record. Whoever writes in it can read it.
                </p>
            @else
                @forelse ($entries as $entry)
                    <article class="panel mb-3">
                        <p><b>{{ Str::ucfirst($entry->found->short()) }}</b>{{ $entry->held ? ', the result was held'
                            : '' }}{{ $entry->student_sees
                            ? ($entry->student_read_at
                            ? ', the student read it '.LocalTime::shown($entry->student_read_at)
                            : ', the student may read it and has not yet') : '' }}
                            <span class="quiet small">{{ $entry->by->name }}, {{ LocalTime::shown(
                                $entry->created_at) }}</span></p>
                        <p class="whitespace-pre-line mt-1">{{ $entry->why }}</p>
                        @if ($entry->questions)<p class="label mt-2">To ask</p>
                        <p class="whitespace-pre-line small">{{ $entry->questions }}</p>@endif
                        @if ($entry->seen !== [])<details class="mt-2">
                            <summary class="quiet small">What stood there then</summary>
                            @isset($entry->seen['sum'])<p class="small mt-1">{{ $entry->seen['sum'] }}
                            {{ $entry->seen['close'] }}</p>
                            @foreach ($entry->seen['sources'] as $seen)<p class="small">{{ $seen }}</p>@endforeach
                            @if ($entry->seen['passage'])<blockquote class="small mt-1 border-l-2 pl-3">
                                {{ $entry->seen['passage'] }}</blockquote>@endif @endisset
                            @foreach ($entry->seen['writing'] ?? [] as $seen)<p class="small mt-1">
                                {{ $seen }}</p>@endforeach
                        </details>@endif
                    </article>
                @empty
                    <p class="quiet">Nothing is written yet. {{ $from === 'overlap'
                        ? 'A share alone is no finding: most honest essays share some words.'
                        : 'A signal alone is no finding: it says where to begin a talk.' }}</p>
                @endforelse
                @if ($staff !== [])
                    <form class="flex flex-wrap gap-2 items-end mt-3" method="post"
                        action="{{ route('screen.name', $script) }}" hx-boost="false">@csrf
                        <label class="small">Let someone read this record <select class="input" name="who">
                            @foreach ($staff as $id => $name)<option value="{{ $id }}">{{ $name }}</option>@endforeach
                            </select></label><button class="button">Let them</button>
                    </form>
                @endif
            @endif
        </div>
    </div>
</section>

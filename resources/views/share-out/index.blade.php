@php
    $loads = $preview?->loads() ?? [];
    $names = $tutors->mapWithKeys(fn ($m) => [$m->user->public_id => $m->user->name])->all();
    $most = max(1, ...array_map(fn ($l) => $l['first'] + $l['second'], array_values($loads) ?: [['first' => 1, 'second' => 0]]));
    $second = $assignment->second_marking;
@endphp
<x-page :title="'Share out: '.$assignment->title" at="modules" quiet-errors>
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::ShareOut" /></x-slot:head>
    @foreach ($errors->all() as $message)<div class="notice refusal" role="alert">{{ $message }}</div>@endforeach
    @if ($open === 0 && $shared->isEmpty())
        <x-empty title="Nothing to share out yet">Scripts can be shared out once they are handed in and the due time has passed.</x-empty>
    @elseif ($open > 0)
        <div class="split">
            <div>
                <h2 class="mb-1">{{ $preview ? 'The plan' : ($open === 1 ? '1 script without a marker' : $open.' scripts without a marker') }}</h2>
                @if ($fault)<div class="notice refusal" role="alert">{{ $fault }}</div>@endif
                @unless ($assignment->isPastDue())<p class="signal mb-2">The due time is still to come, so scripts can change. You can look at a plan now and apply it after {{ App\Support\Clock::shown($assignment->due_at) }}.</p>@endunless
                @if ($preview)
                    <p class="quiet mb-3">Nothing has been given out yet. Each tutor’s new scripts: filled for first marks{{ $second ? ', ringed for second marks' : '' }}.</p>
                    <div class="sheet px-4 py-3 mb-4">
                        @foreach ($names as $id => $name)
                            @continue(! isset($loads[$id]))
                            <div class="grid grid-cols-[170px_1fr_150px] items-center gap-3 py-1">
                                <span class="truncate">{{ $name }}</span>
                                <svg height="16" width="100%" viewBox="0 0 420 16" preserveAspectRatio="xMinYMid meet" aria-hidden="true">
                                    @for ($i = 0; $i < $loads[$id]['first']; $i++)<rect x="{{ $i * min(16, 400 / $most) + 1 }}" y="3" width="{{ min(16, 400 / $most) - 3 }}" height="10" fill="var(--deep)" />@endfor
                                    @for ($i = 0; $i < $loads[$id]['second']; $i++)<rect x="{{ ($i + $loads[$id]['first']) * min(16, 400 / $most) + 7 }}" y="3.5" width="{{ min(16, 400 / $most) - 4 }}" height="9" fill="none" stroke="var(--deep)" />@endfor
                                </svg>
                                <span class="quiet small">{{ $loads[$id]['first'] }} first{{ $second ? ', '.$loads[$id]['second'].' second' : '' }}</span>
                            </div>
                        @endforeach
                    </div>
                    <div class="sheet scroll"><table class="table">
                        <thead><tr><th>Script</th><th>First marker</th>@if ($second)<th>Second marker, blind</th>@endif</tr></thead>
                        <tbody>@foreach ($preview->pairings as $pair)<tr><td class="code">{{ $pair->script }}</td><td>{{ $names[$pair->first] }}</td>@if ($second)<td>{{ $names[$pair->second] }}</td>@endif</tr>@endforeach</tbody>
                    </table></div>
                @else
                    <p class="quiet">Choose who marks, then look at the plan. Nothing is given out before you apply it.</p>
                @endif
            </div>
            <aside>
                <form class="panel mb-4" method="get" action="{{ route('share-out.index', $assignment) }}">
                    <fieldset><legend class="label">Who marks</legend>
                        @foreach ($tutors as $member)
                            <label class="flex items-center gap-2 py-1"><input type="checkbox" name="markers[]" value="{{ $member->user->public_id }}" @checked(in_array($member->user->public_id, $chosen, true))> {{ $member->user->name }} <span class="quiet small">{{ $member->role->label() }}</span></label>
                        @endforeach
                    </fieldset>
                    <x-field name="seed" label="Seed" :value="$seed" inputmode="numeric" hint="The same seed gives the same plan; another one mixes anew. It is kept in the logbook." class="mt-3" />
                    <div class="flex justify-end"><button @class(['button', 'primary' => ! $preview])>Look at the plan</button></div>
                </form>
                @if ($preview && $preview->pairings !== [])
                    <form class="panel" method="post" action="{{ route('share-out.store', $assignment) }}">
                        @csrf
                        <input type="hidden" name="seed" value="{{ $seed }}">
                        @foreach ($chosen as $id)<input type="hidden" name="markers[]" value="{{ $id }}">@endforeach
                        <p class="mb-3">{{ count($preview->pairings) }} scripts go to {{ count($loads) }} markers{{ $second ? ', each twice, never to the same person' : '' }}.</p>
                        <div class="flex justify-end"><button class="button primary" @disabled(! $assignment->isPastDue())>Give them out</button></div>
                    </form>
                @endif
            </aside>
        </div>
    @endif
    @if ($shared->isNotEmpty())
        <h2 @class(['mb-2', 'mt-8' => $open > 0])>With markers</h2>
        <div class="sheet scroll"><table class="table">
            <thead><tr><th>Script</th><th>First marker</th>@if ($second)<th>Second marker</th>@endif</tr></thead>
            <tbody>
                @foreach ($shared as $script)
                    <tr><td class="code">{{ $script->code }}</td>
                        @foreach (App\Enums\Part::cases() as $part)
                            @if ($mark = $script->mark($part))<td>{{ $mark->marker->name }} <span class="quiet small">{{ $mark->isDone() ? 'done' : ($mark->begun_at ? 'begun' : 'not begun') }}</span></td>@endif
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table></div>
    @endif
</x-page>

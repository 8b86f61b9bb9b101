@php
    use App\Wording\LocalTime;
    $drafts = $list->slots->whereNull('published_at');
    $absent = $list->slots->filter(fn ($slot) => $slot->course->value === 'no-show' && ($list->done[$slot->script_id] ?? 0) === 0
        && $slot->script->current_handin_id !== null);
    $team = $list->team->pluck('name', 'public_id')->all();
    // Who has left the module meanwhile stands with the slots alone.
    $name = fn (int $id) => $list->team->find($id)?->name ?? $list->slots->flatMap(fn ($slot) => $slot->observers)->find($id)?->name;
@endphp
<x-page :title="__('observe.title').': '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::ShareOut" /></x-slot:head>
    @if (session('unplaced'))<div class="notice mb-4" role="status">@foreach (session('unplaced') as $line)<p>{{ $line }}</p>@endforeach</div>@endif
    <div class="flex flex-wrap items-center gap-3 mb-4">
        @if ($list->slots->contains(fn ($slot) => $slot->observers->contains($person) && $slot->published_at))<a class="button primary"
            href="{{ route('observe.show', $assignment) }}">{{ __('observe.page.observe') }}</a>@endif
        <a href="{{ route('slots.calendar', $assignment) }}">{{ __('observe.page.calendar') }}</a>
        @if ($coordinates)
            @if ($list->without->isNotEmpty() || $drafts->isNotEmpty())<form method="post" action="{{ route('slots.draw', $assignment) }}">
                @csrf<button class="button">{{ __($drafts->isEmpty() ? 'observe.page.draw' : 'observe.page.draw_again') }}</button></form>@endif
            @if ($drafts->isNotEmpty())<form method="post" action="{{ route('slots.publish', $assignment) }}">@csrf<button
                class="button primary">{{ __('observe.page.publish') }}</button></form>@endif
            @if ($absent->isNotEmpty())<form method="post" action="{{ route('slots.no-shows', $assignment) }}">@csrf<button
                class="button">{{ trans_choice('observe.page.no_shows', $absent->count()) }}</button></form>@endif
        @endif
    </div>
    @if ($list->without->isNotEmpty())<p class="mb-3">{{ trans_choice('observe.page.without', $list->without->count()) }}:
        <span class="quiet">{{ $list->without->map(fn ($one) => $one->names())->implode(', ') }}</span></p>@endif
    @if ($list->slots->isEmpty())<x-empty :title="__('observe.page.none')">{{ __('observe.page.none_hint') }}</x-empty>
    @else
        <div class="sheet scroll"><table class="table stacked">
            <thead><tr><th>When</th><th>Room</th><th>Who</th><th>Observed by</th><th></th></tr></thead>
            <tbody>@foreach ($list->slots as $slot)
                <tr id="s-{{ $slot->public_id }}">
                    <td class="lg:whitespace-nowrap" data-label="When">{{ LocalTime::shown($slot->starts_at) }}
                        <span class="quiet small">{{ $slot->minutes() }} min</span></td>
                    <td data-label="Room">{{ $slot->room }}</td>
                    <td data-label="Who"><b>{{ $slot->script->names() }}</b></td>
                    <td data-label="Observed by">{{ $slot->observers->pluck('name')->implode(', ') }}</td>
                    <td>@if ($slot->published_at === null)<span class="quiet">{{ __('observe.page.draft') }}</span>
                        @elseif ($slot->course->value !== 'usual')<span class="signal">{{ __('observe.course.'.$slot->course->value) }}</span>
                        @else<span class="quiet small">{{ __('observe.page.marks', ['done' => $list->done[$slot->script_id] ?? 0,
                            'all' => $slot->observers->count()]) }}</span>@endif
                        @if ($coordinates)<details class="drop inline-block"><summary class="link">{{ __('observe.page.move') }}</summary>
                            <form class="panel absolute! z-20 w-80" method="post" action="{{ route('slots.move', $slot) }}">@csrf @method('put')
                                <label class="field"><span class="label">{{ __('observe.page.move_to') }}</span><select class="input" name="ground">
                                    @foreach ($assignment->grounds as $ground)<option value="{{ $ground->public_id }}"
                                        @selected($ground->room === $slot->room && $ground->starts_at->lte($slot->starts_at)
                                        && $ground->ends_at->gte($slot->ends_at))>{{ $ground->room }}, {{ LocalTime::shown($ground->starts_at) }}</option>@endforeach
                                </select></label>
                                <label class="field"><span class="label">{{ __('observe.page.move_at') }}</span><input class="input"
                                    type="datetime-local" name="at" value="{{ LocalTime::field($slot->starts_at) }}"></label>
                                <button class="button">{{ __('observe.page.move_do') }}</button></form></details>@endif</td>
                </tr>
            @endforeach</tbody></table></div>
    @endif
    @if ($coordinates && $list->swaps->isNotEmpty())
        <h2 class="mt-6 mb-2">{{ __('observe.page.swaps') }}</h2>
        @foreach ($list->swaps as $swap)
            <form class="sheet px-4 py-2 mb-2 flex flex-wrap items-center gap-3" method="post" action="{{ route('swaps.update', $swap) }}">@csrf @method('put')
                <span>{{ __('observe.page.swap', ['one' => $swap->slot->script->names(), 'other' => $swap->other->script->names()]) }}
                <span class="quiet">{{ __($swap->state === 'agreed' ? 'observe.page.agreed' : 'observe.page.waits') }}{{ $swap->words === ''
                    ? '' : ': “'.$swap->words.'”' }}</span></span>
                @if ($swap->state === 'agreed')<button class="button" name="yes" value="1">{{ __('observe.page.approve') }}</button>@endif
                <button class="link" name="yes" value="0">{{ __('observe.page.refuse') }}</button></form>
        @endforeach
    @endif
    @if ($coordinates)
        <section class="mt-8 max-w-3xl"><h2 class="mb-2">{{ __('observe.page.grounds') }}</h2>
            @if ($assignment->grounds->isEmpty())<p class="quiet mb-2">{{ __('observe.page.no_grounds') }}</p>@endif
            @foreach ($assignment->grounds as $ground)
                <form class="flex flex-wrap items-baseline gap-x-4 py-1" method="post" action="{{ route('grounds.destroy', $ground) }}">@csrf @method('delete')
                    <b>{{ $ground->room }}</b> <span>{{ LocalTime::shown($ground->starts_at) }} – {{ $ground->ends_at->copy()
                        ->setTimezone(LocalTime::zone())->format('H:i') }}</span>
                    <span class="quiet">{{ collect($ground->observers)->map($name)->implode(', ') }}</span>
                    <button class="link small ml-auto">{{ __('observe.page.remove') }}</button></form>
            @endforeach
            <details class="mt-3" @if ($assignment->grounds->isEmpty() || $errors->any()) open @endif><summary class="link">{{ __('observe.page.add') }}</summary>
                <form class="panel mt-2" method="post" action="{{ route('grounds.store', $assignment) }}">@csrf
                    <div class="grid sm:grid-cols-3 gap-x-4">
                        <x-field name="room" :label="__('observe.page.room')" />
                        <x-field name="from" :label="__('observe.page.from')" type="datetime-local" />
                        <x-field name="to" :label="__('observe.page.to')" type="datetime-local" />
                    </div>
                    <div class="grid sm:grid-cols-3 gap-x-4">
                        <x-choice name="first" :label="__('observe.page.first')" :options="['' => 'Choose one'] + $team" />
                        <x-choice name="second" :label="__('observe.page.second')" :options="['' => __('observe.page.nobody')] + $team" />
                        <x-choice name="third" :label="__('observe.page.third')"
                            :options="['' => __('observe.page.nobody')] + $team" />
                    </div>
                    <div class="flex justify-end"><button class="button primary">{{ __('observe.page.add_do') }}</button></div></form>
            </details>
        </section>
    @endif
</x-page>

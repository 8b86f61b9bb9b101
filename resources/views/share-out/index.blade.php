@php
    $second = count($parts) > 1;
    $marks = fn (string $id): bool => in_array($id,
        (array) old('markers', array_keys(array_filter($agreed, fn ($one) => $one['marks']))), true);
@endphp
<x-page :title="'Share out: '.$assignment->title" at="modules" quiet-errors>
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::ShareOut" /></x-slot:head>
    @include('share-out.tabs', ['at' => 'plan'])
    @foreach ($errors->all() as $message)<div class="notice refusal" role="alert">{{ $message }}</div>@endforeach
    @if ($assignment->isObserved())<p class="mb-3"><a class="button" href="{{ route('slots.index',
        $assignment) }}">{{ __('observe.go') }}</a> <span class="quiet ml-2">{{ __('observe.shared') }}</span></p>@endif
    @if ($toCheck->isAny())<div class="notice"><b>Before you share out:</b> {{ $toCheck->inWords() }}
    <a href="{{ route('names.index', $assignment) }}">Names in scripts</a></div>@endif
    @if ($open === 0 && $rows->total() === 0 && $wanted === '')
        <x-empty title="Nothing to share out yet">
            Scripts can be shared out once they are handed in and the due time has passed. Conflicts of interest can be recorded before.
            </x-empty>
    @else
        @if ($draft && $unknown > 0)<div class="notice">
            {{ $unknown === 1 ? '1 script has' : "{$unknown} scripts have" }}
            come in since this plan was worked out, and stand in it nowhere. Work it out again to place them; what you moved by hand has to be moved again.
            </div>@endif
        <div class="split">
            <div class="min-w-0">
                @if ($draft)
                    @include('share-out.plan')
                @else
                    <h2 class="mb-1">{{ $open === 0 ? 'Everything is with markers'
                        : ($open === 1 ? '1 script still lacks a marker'
                        : number_format($open).' scripts still lack a marker') }}</h2>
                    <p class="quiet mb-3">{{ $open === 0
                        ? 'A new plan moves only work that is not begun: after an illness, or when shares change.'
                        : 'Agree who marks how much, then work out a plan. Nothing is given out before you have looked at it.' }}
                        </p>
                    @include('share-out.table')
                @endif
            </div>
            <aside>
                <form class="panel mb-4" method="post" action="{{ route('share-out.plan', $assignment) }}">
                    @csrf
                    <fieldset><legend class="label mb-1">Who marks</legend>
                        <table class="w-full small"><thead class="sr-only"><tr><th>Marks</th><th>Share</th></tr></thead>
                        <tbody>
                            @foreach ($people as $member)
                                @php($id = $member->user->public_id)
                                <tr><td class="py-1"><label class="flex items-center gap-2"><input type="checkbox"
                                    name="markers[]" value="{{ $id }}" @checked($marks($id))>
                                    <span>{{ $member->user->name }}
                                    @if ($member->role !== App\Enums\Role::Tutor)<span
                                        class="quiet">{{ $member->role->label() }}</span>@endif</span></label></td>
                                    <td class="py-1 text-right"><label><span class="quiet">share</span>
                                    <input class="input inline! w-14! min-h-0! num" name="share[{{ $id }}]"
                                        value="{{ old("share.{$id}", $agreed[$id]['share']) }}" inputmode="decimal"
                                        aria-label="Share of {{ $member->user->name }}"></label></td></tr>
                                @if ($sections !== [])
                                    <tr><td colspan="2" class="pb-2 pl-6"><span class="quiet">sections</span>
                                        @foreach ($sections as $section)<label class="ml-2 whitespace-nowrap"><input
                                            type="checkbox" name="sections[{{ $id }}][]" value="{{ $section }}"
                                            @checked(in_array($section,
                                            (array) old("sections.{$id}", $agreed[$id]['sections'] ?? []), true))
                                            aria-label="Section {{ $section }} for {{ $member->user->name }}">
                                            {{ $section }}</label>@endforeach</td></tr>
                                @endif
                            @endforeach
                        </tbody></table>
                        <p class="hint mt-1">A share of 2 is twice as much as 1; 0 gives nothing new.@if ($sections !== [])
                        No section ticked means all of them.@endif</p>
                    </fieldset>
                    <div class="mt-3">
                        @if ($assignment->handin_by->isGroup())<label class="block py-1"><input type="checkbox"
                            name="keep_groups" value="1" @checked(old('keep_groups', $assignment->keep_groups))>
                            A group’s scripts stay with one first marker</label>@endif
                        @if ($assignment->shared_out_at)<label class="block py-1"><input type="checkbox" name="even_out"
                            value="1" @checked(old('even_out', $draft?->settings['even_out'] ?? false))>
                            Even out what is not begun
                            <span class="hint block">Otherwise scripts move only when their marker no longer marks.</span></label>@endif
                    </div>
                    <x-field name="seed" label="Seed" :value="$seed" inputmode="numeric"
                        hint="The same seed gives the same plan; another mixes anew. It is kept with the plan." />
                    <div class="flex justify-end">
                        <button @class(['button', 'primary' => ! $draft])>
                        {{ $draft ? 'Work it out again' : 'Work out a plan' }}</button></div>
                </form>
                <p class="quiet small">{{ $conflicts === 0 ? 'No conflict of interest is recorded.'
                    : ($conflicts === 1 ? '1 conflict of interest is kept out of every plan.'
                    : "{$conflicts} conflicts of interest are kept out of every plan.") }}
                    <a href="{{ route('conflicts.index', $assignment->module) }}">{{ $conflicts === 0 ? 'Record one'
                        : 'See them' }}</a></p>
            </aside>
        </div>
    @endif
</x-page>

@php
    use App\Enums\PackState;
    use App\Models\PackNote;
    use App\Wording\LocalTime;
@endphp
<x-page :title="'Sign off: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Moderate" /></x-slot:head>
    <div class="flex flex-wrap items-baseline gap-x-5 mb-2"><h2>Sign off</h2>
        <span class="quiet small">{{ $assignment->release->signatures === []
            ? 'Results wait for no signature; a pack can be sent all the same.'
            : ($missing === [] ? 'Every signature that results wait for is there.'
            : 'Results wait for '.implode(' and ', array_map(fn ($one) => __("release.signature.{$one->value}"),
            $missing)).' signature.') }}
            <a href="{{ route('plan.edit', $assignment) }}#settling">Whose signature results wait for</a></span>
        <a class="ml-auto" href="{{ route('moderate.index', $assignment) }}">all scripts</a></div>
    <div class="split">
        <div class="min-w-0">
            @if ($packs->isEmpty())
                <x-empty title="No sample pack yet">A pack is what a moderator or an external examiner reads and signs: brief,
                    rubric, the spread of marks, and some scripts with their marks and how they settled, without names.</x-empty>
            @else
                <div class="sheet scroll"><table class="table">
                    <thead><tr><th>For</th><th class="num">Scripts</th><th>Status</th><th>Asked for</th><th></th></tr></thead>
                    <tbody>@foreach ($packs as $pack)
                        @php
                            $requests = $pack->notes->where('kind', PackNote::REQUEST);
                            $open = $requests->filter(fn ($one) => $one->answers->isEmpty())->count();
                        @endphp
                        <tr><td>{{ $pack->person->name }}<br><span class="quiet small">{{ __(
                            "moderate.reader.{$pack->reader->value}") }}</span></td>
                            <td class="num">{{ $pack->scripts_count }}</td>
                            <td>{{ __("moderate.pack_state.{$pack->state->value}") }}<br><span
                                class="quiet small">{{ $pack->signed_at ? LocalTime::shown($pack->signed_at)
                                : ($pack->sent_at ? LocalTime::shown($pack->sent_at) : '') }}</span></td>
                            <td @class(['signal' => $open > 0])>{{ $requests->isEmpty() ? '–'
                                : ($open > 0 ? "{$open} without an answer" : 'all answered') }}</td>
                            <td class="num"><a href="{{ route('packs.show', $pack) }}">open</a></td></tr>
                    @endforeach</tbody></table></div>
            @endif
        </div>
        <aside>
            @if ($readers !== [])
                <form class="panel mb-4" method="post" action="{{ route('packs.store', $assignment) }}">@csrf
                    <h2 class="mb-2">Put a pack together</h2>
                    <x-choice name="reader" label="Who reads and signs it" :options="['' => 'Choose'] + $readers" />
                    <fieldset class="mb-2"><legend class="label">Agreed scripts in it</legend>
                        <label class="block py-1"><input type="checkbox" name="fails" value="1" @checked(old('fails',
                            ! $errors->any()))> every fail</label>
                        <label class="block py-1"><input type="checkbox" name="top" value="1" @checked(old('top',
                            ! $errors->any()))> every script in the top band</label>
                        <label class="block py-1"><input type="checkbox" name="near" value="1" @checked(old('near'))>
                            every mark within 2 of a boundary</label></fieldset>
                    <x-field name="share" label="Drawn from the rest, percent of all" inputmode="numeric" value="10" />
                    <x-field name="least" label="Drawn at least, scripts" inputmode="numeric" value="4" />
                    <label class="block py-1 mb-2"><input type="checkbox" name="recordings" value="1"
                        @checked(old('recordings'))> With voice and video of markers
                        <span class="hint block">Recordings identify people, so they are left out otherwise.</span></label>
                    <div class="flex justify-end"><button class="button primary">Put it together</button></div>
                </form>
            @else
                <p class="notice">There is nobody to sign: choose a moderator below, or let an administrator add an external
                    examiner to the module.</p>
            @endif
            <form class="panel" method="post" action="{{ route('packs.moderators', $assignment) }}">@csrf @method('put')
                <fieldset><legend class="label mb-1">Who moderates this assignment</legend>
                    @foreach ($team as $member)<label class="block py-1"><input type="checkbox" name="moderators[]"
                        value="{{ $member->user->public_id }}" @checked($moderators->contains('id', $member->user_id))>
                        {{ $member->user->name }}</label>@endforeach
                    <p class="hint">They sign nothing that they have marked.</p></fieldset>
                <div class="flex justify-end"><button class="button">Save</button></div>
            </form>
        </aside>
    </div>
</x-page>

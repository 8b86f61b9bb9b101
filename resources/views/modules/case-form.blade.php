@php
    use App\Enums\CaseKind;
    $key = $script->public_id;
    $fits = array_filter(CaseKind::cases(),
        fn ($kind) => ! $kind->isForNothing() || ($in === null && ! $script->takesHandIns()));
@endphp
<details class="min-w-0 open:basis-full"><summary>Decide something else</summary>
    <form class="mt-2 max-w-96 case-form" method="post" action="{{ route('cases.store', $script) }}">@csrf
        <fieldset class="mb-2"><legend class="label">What</legend>
            @foreach ($fits as $kind)<label class="block py-1"><input type="radio" name="kind"
                value="{{ $kind->value }}" required>
                {{ $kind->label() }}</label>@endforeach</fieldset>
        <div class="for-adjusted"><label class="label" for="m-{{ $key }}">Marks</label>
            <input class="input w-28!" id="m-{{ $key }}" name="marks" inputmode="decimal">
            <p class="hint mb-2">After lateness and everything else, before rounding; with a minus they come off.
                {{ $script->assignment->namesRevealed() ? '' : 'The mark itself is not shown beside a name before it is out: its working says what this did.' }}</p>
            </div>
        <label class="label" for="r-{{ $key }}">Reason</label>
        <textarea class="input" id="r-{{ $key }}" name="reason" rows="2" required minlength="5"
            maxlength="1000"></textarea>
        <p class="hint">Coordinators read this here, and nobody else. The student is told what takes the place of a mark, not why.
        </p>
        <div class="flex justify-end mt-2"><button class="button">Decide it</button></div>
    </form></details>

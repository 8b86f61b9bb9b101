{{-- What a discussion asks of a student, and what they have written so far. --}}
@php
    use App\Wording\DiscussionWords;
    use App\Wording\LocalTime;
    $own = $reader->script?->participation;
    $ends = $reader->endsAt();
@endphp
<div class="mb-4 max-w-[46rem]">
    <p>{{ DiscussionWords::asked($assignment->discussion) }}</p>
    @if ($reader->script !== null)
        <p class="mt-1">@if ($own === null || $own->first_at === null)<b>{{ __('discuss.own.nothing') }}</b>
            @else{{ __('discuss.own.written', ['what' => DiscussionWords::written($own)]) }}
            @if ($own->below)<b>{{ DiscussionWords::missing($own, $assignment->discussion) }}</b>
            @else<span class="kelp">{{ __('discuss.own.enough') }}</span>@endif @endif</p>
        <p class="quiet mt-1">{{ __($ends?->isPast() ? 'discuss.times.over' : 'discuss.times.open', [
            'due' => LocalTime::shown($reader->script->due_at), 'ends' => $ends === null ? '' : LocalTime::shown($ends)]) }}
            {{ $ends?->isPast() && $assignment->discussion->goesOn ? __('discuss.times.goes_on') : '' }}
            {{ __('discuss.names.'.($assignment->discussion->names ? '1' : '0')) }} {{ __('discuss.names.staff') }}</p>
    @endif
</div>

{{-- When and where a student is observed, and swapping it. --}}
@php
    use App\Wording\LocalTime;
    ['slot' => $slot, 'mine' => $mine, 'asked' => $asked, 'others' => $others] = (array) $ownSlot;
@endphp
<div class="panel mb-4"><h2>{{ __('observe.student.title') }}</h2>
    @if ($slot === null)<p class="quiet mt-1">{{ __('observe.student.none') }}</p>
    @else
        <p class="mt-1"><b>{{ __('observe.student.when', ['at' => LocalTime::shown($slot->starts_at), 'minutes' => $slot->minutes(),
            'room' => $slot->room]) }}</b></p>
        <p class="quiet">{{ __('observe.student.by', ['observers' => $slot->observers->pluck('name')->implode(', ')]) }}</p>
        <p class="mt-2"><a href="{{ route('slots.calendar', $assignment) }}">{{ __('observe.student.calendar') }}</a></p>
        @if ($asked !== null)<form class="notice mt-3" method="post" action="{{ route('swaps.update',
            $asked) }}">@csrf @method('put')
            <p>{{ __('observe.student.they_ask', ['at' => LocalTime::shown($asked->slot->starts_at), 'room' => $asked->slot->room]) }}
            {{ $asked->words === '' ? '' : "“{$asked->words}”" }}</p>
            <p class="flex gap-3 mt-1"><button class="button" name="yes" value="1">{{ __('observe.student.agree') }}</button>
            <button class="button" name="yes" value="0">{{ __('observe.student.agree_not') }}</button></p></form>@endif
        @if ($mine !== null)<p class="mt-2">{{ __('observe.student.asked') }}</p>
        @elseif ($others->isNotEmpty())<details class="mt-2"><summary class="link">{{ __('observe.student.swap') }}</summary>
            <form class="mt-1" method="post" action="{{ route('swaps.store', $slot) }}">@csrf
                <label class="field"><span class="label">{{ __('observe.student.with') }}</span><select class="input" name="other">
                    @foreach ($others as $one)<option value="{{ $one->public_id }}">{{ LocalTime::shown($one->starts_at)
                        }}, {{ $one->room }}</option>@endforeach
                </select></label>
                <label class="field"><span class="label">{{ __('observe.student.words') }}</span><input class="input"
                    name="words" maxlength="500"></label>
                <button class="button">{{ __('observe.student.ask') }}</button></form></details>@endif
    @endif
    @if ($assignment->observing->rules !== '')<h3 class="mt-3">{{ __('observe.student.rules') }}</h3>
        <p class="small whitespace-pre-line">{{ $assignment->observing->rules }}</p>@endif
</div>

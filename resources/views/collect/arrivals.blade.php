@if ($arrivals)
    <div class="flex flex-wrap items-end gap-x-8 gap-y-2 mb-4">
        <div class="scroll max-w-full"><x-arrivals :arrivals="$arrivals" /></div>
        <p class="quiet max-w-xs">
            {{ array_sum($arrivals->bars) === 1 ? 'One hand-in counts'
            : array_sum($arrivals->bars).' hand-ins count' }}{{ $arrivals->lastHour > 0
            ? ", {$arrivals->lastHour} of them from the last hour before the due time"
            : '' }}. A bar is {{ in_array($arrivals->spanInWords(), ['hour', 'day'], true)
            ? ($arrivals->spanInWords() === 'hour' ? 'an hour' : 'a day') : $arrivals->spanInWords() }}.</p></div>
@endif

@props(['standing'])
@php($tone = match ($standing->value) { 'to-settle', 'held' => 'signal', 'agreed', 'released' => 'kelp',
    default => 'quiet' })
<span class="{{ $tone }} whitespace-nowrap"><x-state-shape :standing="$standing" /> {{ __("mark.standing.{$standing->value}") }}</span>

@props(['standing'])
<svg class="inline" width="11" height="11" viewBox="0 0 12 12" aria-hidden="true">
@switch($standing->value)
    @case('released') @case('agreed') <circle cx="6" cy="6" r="5" fill="currentColor" /> @break
    @case('to-settle') <path d="M2 1 V12 M2 1 L11 4 L2 7" fill="currentColor" stroke="currentColor" /> @break
    @case('held') <rect x="1" y="1" width="10" height="10" fill="none" stroke="currentColor" stroke-width="2" /> @break
    @case('expected') @case('handed-in')
    <circle cx="6" cy="6" r="4.5" fill="none" stroke="currentColor" stroke-width="1.5" /> @break
    @default <circle cx="6" cy="6" r="4.5" fill="none" stroke="currentColor" stroke-width="1.5" />
    <path d="M6 1.5 a4.5 4.5 0 0 0 0 9 z" fill="currentColor" />
@endswitch
</svg>

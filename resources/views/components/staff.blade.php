{{-- The tide staff: the overlap share with the two lines where the coordinator looks, and looks closely. --}}
@props(['share', 'assignment', 'width' => 180])
@php
    $x = fn ($percent) => round(min(100, (float) $percent) * ($width - 2) / 100 + 1, 1);
    [$look, $closely] = [$assignment->screening->look->toFloat(), $assignment->screening->lookClosely->toFloat()];
@endphp
<svg width="{{ $width }}" height="20" viewBox="0 0 {{ $width }} 20" role="img"
    aria-label="{{ $share }} percent; look from {{ $look }}, closely from {{ $closely }}">
    <rect x="1" y="5" width="{{ $width - 2 }}" height="10" fill="var(--sheet)" stroke="var(--quiet)" />
    <rect x="1" y="5" width="{{ max(0, $x($share) - 1) }}" height="10" fill="var(--deep)" />
    <line x1="{{ $x($look) }}" x2="{{ $x($look) }}" y1="1" y2="19" stroke="var(--ink)" stroke-width="1.5" />
    <line x1="{{ $x($closely) }}" x2="{{ $x($closely) }}" y1="1" y2="19" stroke="var(--ink)" stroke-width="1.5"
        stroke-dasharray="3 2" />
</svg>

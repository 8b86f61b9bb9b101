{{-- The four hatchings of sources, as patterns for what is drawn on the page. --}}
<svg width="0" height="0" class="absolute" aria-hidden="true"><defs>
    <pattern id="hatch-0" width="6" height="6" patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"><rect width="6" height="6" fill="var(--sheet)" />
        <line x1="0" y1="0" x2="0" y2="6" stroke="var(--deep)" stroke-width="3" /></pattern>
    <pattern id="hatch-1" width="6" height="6" patternUnits="userSpaceOnUse"><rect width="6" height="6"
        fill="var(--sheet)" /><line x1="0" y1="3" x2="6" y2="3" stroke="var(--ink)" stroke-width="2" /></pattern>
    <pattern id="hatch-2" width="6" height="6" patternUnits="userSpaceOnUse"><rect width="6" height="6"
        fill="var(--sheet)" /><circle cx="3" cy="3" r="1.6" fill="var(--ink)" /></pattern>
    <pattern id="hatch-3" width="6" height="6" patternUnits="userSpaceOnUse"
        patternTransform="rotate(-45)"><rect width="6" height="6" fill="var(--sheet)" />
        <line x1="0" y1="0" x2="0" y2="6" stroke="var(--quiet)" stroke-width="2" /></pattern>
</defs></svg>

{{-- Where a share lies against the coordinator's lines: a flag and a word, or nothing. --}}
@props(['assignment', 'share'])
@php($at = $assignment->screening->attention($share))
@if ($at !== YoungHarbor\Core\Overlap\Attention::None)
    <span class="signal whitespace-nowrap"><svg class="inline" width="11" height="12" viewBox="0 0 12 12"
        aria-hidden="true"><path d="M2 1 V12 M2 1 L11 4 L2 7"
        fill="{{ $at === YoungHarbor\Core\Overlap\Attention::LookClosely ? 'currentColor' : 'none' }}"
        stroke="currentColor" /></svg> {{ __('screen.attention.'.$at->value) }}</span>
@endif

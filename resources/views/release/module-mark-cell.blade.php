@if ($of === null)<span class="quiet">–</span>
@elseif ($of->shown === null)<span class="quiet small" title="{{ $of->why }}">none</span>
@else<a class="{{ $of->complete ? 'font-bold' : 'quiet' }}"
    href="{{ route('members.show', $member) }}#module-mark">{{ $of->shown }}</a>
    <span class="quiet">{{ $of->band }}</span>@unless ($of->complete)<br><span class="quiet small">{{ __(
        'module-mark.not_complete') }}</span>
    @else @unless ($of->passed)<br><span class="signal small">{{ __(
        'grade-book.not_passed') }}</span>@elseif ($of->just_below)<br><span
        class="quiet small">{{ __('module-mark.borderline', ['boundary' => $of->just_below]) }}</span>@endunless
        @endunless
@endif

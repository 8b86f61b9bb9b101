{{-- What is attached, to someone who is not to know its writer yet: its text, made anew without names. --}}
@use('App\Enums\AttachedText')
@if ($on->file_state === AttachedText::Made)
    <details class="mt-2"><summary class="link small">{{ __('replies.attached_made') }}</summary>
        <p class="font-text whitespace-pre-line mt-1" dir="auto">{{ $on->file_text }}</p></details>
@else<p class="quiet small mt-2">{{ __($on->isBeingRead() ? 'replies.attached_under_way'
    : 'replies.attached_waits') }}</p>@endif

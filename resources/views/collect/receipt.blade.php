@php
    use App\Wording\LocalTime;
    $script = $handin->script;
    $counts = $script->current_handin_id === $handin->id;
@endphp
<x-page title="Receipt" at="modules">
    <x-slot:head><div class="heading">
        <h1>Receipt</h1><a class="of" href="{{ route('hand-in.show', $assignment) }}">{{ $assignment->title }}</a></div>
        </x-slot:head>
    <div class="split">
        <div>
            @if ($handin->isErased())<p class="notice mb-3">{{ __('keeping.text_let_go') }}</p>@else
            @include('collect.reading')@endif
            @if ($handin->declaration)
                <h2 class="mt-5 mb-2">Your declaration</h2>
                <dl class="sheet px-5 py-3">
                    @foreach ($handin->declaration as $field)<dt class="quiet small">{{ $field['label'] }}</dt>
                    <dd class="mb-2 whitespace-pre-line">{{ $field['answer'] }}</dd>@endforeach</dl>
            @endif
            @if ($assignment->isDiscussion())<p class="quiet mt-3">{{ __('discuss.receipt') }}
                <a href="{{ route('discussion.show', $assignment) }}">{{ __('discuss.title') }}</a></p>
            @else
            <p class="quiet mt-3">Is this not what you meant to hand in? @if (! $script->takesHandIns())
            The assignment is closed; write to your module coordinator. @else
            <a href="{{ route('hand-in.show', $assignment) }}">Hand in another</a>@if (! $script->isPastDue())
            until {{ LocalTime::shown($script->due_at) }}@endif. @endif</p>
            @endif
        </div>
        <aside class="panel self-start">
            <p @class(['font-bold', 'kelp' => $counts, 'signal' => ! $counts])>
                {{ $counts ? 'Handed in'.($handin->late ? ', late' : '')
                : ($handin->unreadable !== null ? 'Arrived; could not be read' : 'Kept; another attempt counts') }}</p>
            @if (! $counts && $handin->unreadable === null && $handin->late)<p class="small mt-1">
                It came after the due time, and attempt {{ $script->currentHandin?->attempt }} was there already.
                <a href="{{ route('hand-in.show', $assignment) }}">Choose which counts</a></p>@endif
            <dl class="mt-2">
                <dt class="quiet small">Received</dt>
                <dd class="mb-2">{{ $handin->received_at->copy()->setTimezone(LocalTime::zone())
                    ->format('D j M Y H:i:s') }}</dd>
                <dt class="quiet small">Recorded</dt>
                <dd class="mb-2">{{ $handin->created_at->copy()->setTimezone(LocalTime::zone())
                    ->format('D j M Y H:i:s') }}
                    <span class="quiet small">{{ match (true) { $assignment->isDiscussion() => __('discuss.frozen_then'),
                        $handin->created_at->gt($handin->received_at)
                        => 'once others before it were; when it was received is what counts', default => '' } }}</span></dd>
                <dt class="quiet small">Due</dt><dd class="mb-2">{{ LocalTime::shown($handin->due_at) }}</dd>
                @if ($handin->handed_in_by !== $script->student_id)<dt class="quiet small">By</dt>
                <dd class="mb-2">{{ $handin->by->name }}, for your group</dd>@endif
                <dt class="quiet small">Attempt</dt><dd class="mb-2">{{ $handin->attempt }}</dd>
                @foreach ($handin->files as $file)
                    <dt class="quiet small">
                        {{ $file->link === null ? 'File' : 'Link' }}{{ $handin->files->count() > 1 ? ' '.$file->position
                        : '' }}</dt><dd class="mb-2 break-words">
                        @unless ($handin->isErased())<a href="{{ route('receipts.file',
                        [$handin, $file->position]) }}">{{ $file->original_name }}</a>, @endunless{{ number_format(
                        $file->bytes) }} bytes</dd>
                    <dt class="quiet small">SHA-256</dt><dd class="mb-2 break-all small">{{ $file->sha256 }}</dd>
                @endforeach
                @if ($handin->files->count() > 1)<dt class="quiet small">
                    SHA-256 of these sums, in order, a line each</dt>
                    <dd class="mb-2 break-all small">{{ $handin->sha256 }}</dd>@endif
                <dt class="quiet small">Receipt</dt><dd class="mb-3 break-all small">{{ $handin->public_id }}</dd>
            </dl>
            <p class="mb-2"><a href="{{ route('receipts.text', $handin) }}">The receipt as a file</a></p>
            <p class="quiet small">It comes by mail too, with a seal that proves it. {{ $handin->isErased() ? '' : 'Each file downloads as it was received.' }}
            </p>
        </aside>
    </div>
</x-page>

@php
    use App\Support\Clock;
    $counts = $handin->script->current_handin_id === $handin->id;
@endphp
<x-page title="Receipt" at="modules">
    <x-slot:head><div class="heading"><h1>Receipt</h1><a class="of" href="{{ route('hand-in.show', $assignment) }}">{{ $assignment->title }}</a></div></x-slot:head>
    <div class="split">
        <div>
            <h2 class="mb-2">What was read of it</h2>
            <p class="mb-2">{{ number_format($handin->words) }} words, read as {{ $handin->files->map(fn ($file) => App\Extraction\FileKind::from($file->kind)->label())->unique()->implode(', ') }}. It begins:</p>
            <div class="sheet px-5 py-4 text whitespace-pre-line">{{ Str::words($handin->text, 120, ' …') }}</div>
            @foreach ($handin->notes as $note)<p class="notice mt-3">{{ $note }}</p>@endforeach
            <p class="quiet mt-3">Is this not what you meant to hand in? @if ($assignment->isPastDue()) The due time has passed; write to your module coordinator. @else <a href="{{ route('hand-in.show', $assignment) }}">Hand in another</a> until {{ Clock::shown($assignment->due_at) }}. @endif</p>
        </div>
        <aside class="panel self-start">
            <p @class(['font-bold', 'kelp' => $counts])>{{ $counts ? 'Handed in' : 'Replaced by a later attempt' }}{{ $handin->late ? ', late' : '' }}</p>
            <dl class="mt-2">
                <dt class="quiet small">Received</dt><dd class="mb-2">{{ $handin->received_at->copy()->setTimezone(Clock::zone())->format('D j M Y H:i:s') }}</dd>
                <dt class="quiet small">Due</dt><dd class="mb-2">{{ Clock::shown($handin->due_at) }}</dd>
                @if ($handin->handed_in_by !== $handin->script->student_id)<dt class="quiet small">By</dt><dd class="mb-2">{{ $handin->by->name }}, for your group</dd>@endif
                <dt class="quiet small">Attempt</dt><dd class="mb-2">{{ $handin->attempt }}</dd>
                @foreach ($handin->files as $file)
                    <dt class="quiet small">File{{ $handin->files->count() > 1 ? ' '.$file->position : '' }}</dt><dd class="mb-2 break-words"><a href="{{ route('receipts.file', [$handin, $file->position]) }}">{{ $file->original_name }}</a>, {{ number_format($file->bytes) }} bytes</dd>
                    <dt class="quiet small">SHA-256</dt><dd class="mb-2 break-all small">{{ $file->sha256 }}</dd>
                @endforeach
                @if ($handin->files->count() > 1)<dt class="quiet small">SHA-256 of these sums, in order, a line each</dt><dd class="mb-2 break-all small">{{ $handin->sha256 }}</dd>@endif
                <dt class="quiet small">Receipt</dt><dd class="mb-3 break-all small">{{ $handin->public_id }}</dd>
            </dl>
            <p class="quiet small">Each file downloads as it was received.</p>
        </aside>
    </div>
</x-page>

@php
    $locked = $mark->isDone();
    $other = $script->settlement !== null;
@endphp
<x-page :title="$script->code.': the desk'" at="modules" bare fill quiet-errors>
    <x-slot:head>
        <x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Mark" slim :open-marks="$queue['open']" />
    </x-slot:head>
    <div class="desk" data-desk="{{ $mark->public_id }}">
        <section class="script" aria-label="The script" tabindex="0">
            <div class="sticky top-0 bg-paper flex flex-wrap items-baseline gap-x-5 py-2 mb-4 border-b border-rule z-10">
                <b class="code">{{ $script->code }}</b>
                @if ($assignment->namesRevealed())<span>{{ $script->names() }}</span>@endif
                <span class="quiet">your mark is the {{ $mark->part->value }}</span>
                <span class="quiet">{{ number_format($mark->handin->words) }} words</span>
                <button class="link" type="button" data-opens="brief" data-key="b">brief</button>
                @foreach ($mark->handin->files as $file)
                    @if ($file->link)<a href="{{ $file->link }}" target="_blank" rel="noreferrer noopener">open the link</a>@elseif ($file->clean_path)<a href="{{ route('mark.file', [$mark, $file->position]) }}">{{ $mark->handin->files->count() > 1 ? "file {$file->position}" : 'file' }}</a>@endif
                @endforeach
                @can('viewOverlap', $script)<a href="{{ route('screen.show', $script) }}">overlap</a>@if ($assignment->writing_baseline_id !== null) <a href="{{ route('writing.show', $script) }}">writing</a>@endif @endcan
                <span class="ml-auto whitespace-nowrap"><span class="quiet">{{ $queue['place'] }} of {{ $queue['all'] }}</span>
                    @if ($queue['previous'])<a class="ml-2" data-key="p" href="{{ route('mark.desk', $queue['previous']) }}">‹ previous</a>@endif
                    @if ($queue['next'])<a class="ml-2" data-key="n" href="{{ route('mark.desk', $queue['next']) }}">next ›</a>@endif
                </span>
            </div>
            <article class="text mx-auto">{!! $mark->handin->html !!}</article>
        </section>
        <section class="side" aria-label="The rubric">
            <div id="messages">@foreach ($errors->all() as $message)<div class="notice refusal m-3" role="alert">{{ $message }}</div>@endforeach</div>
            @include('mark.total')
            <div class="rails" tabindex="-1">
                @foreach ($rubric->criteria as $criterion)
                    @php
                        $choice = $mark->choices[$criterion->id()] ?? [];
                    @endphp
                    <form class="criterion" data-part="{{ $criterion->id() }}" method="post" action="{{ route('mark.choose', [$mark, $criterion->id()]) }}"
                        hx-put="{{ route('mark.choose', [$mark, $criterion->id()]) }}" hx-trigger="change, input delay:600ms, again" hx-target="#total" hx-swap="outerHTML" hx-sync="this:queue last">
                        @csrf @method('put')
                        <fieldset @disabled($locked)>
                            <x-mark-criterion :criterion="$criterion" :choice="$choice" />
                            <label class="sr-only" for="c-{{ $criterion->id() }}">Comment on {{ $criterion->title() }}</label>
                            <textarea class="input mt-1 min-h-9! field-sizing-content" id="c-{{ $criterion->id() }}" name="comment" rows="1" placeholder="comment on {{ Str::lower($criterion->title()) }}">{{ $choice['comment'] ?? '' }}</textarea>
                            <noscript><button class="button mt-1">Save</button></noscript>
                        </fieldset>
                    </form>
                @endforeach
                <form class="criterion" data-part="general" method="post" action="{{ route('mark.comment', $mark) }}" hx-put="{{ route('mark.comment', $mark) }}" hx-trigger="change, input delay:600ms, again" hx-target="#total" hx-swap="outerHTML" hx-sync="this:queue last">
                    @csrf @method('put')
                    <fieldset @disabled($locked)>
                        <label class="font-bold" for="general">In general</label>
                        <textarea class="input mt-1" id="general" name="general_comment" rows="4" data-key="g" data-focuses>{{ $mark->general_comment }}</textarea>
                        <noscript><button class="button mt-1">Save</button></noscript>
                    </fieldset>
                </form>
            </div>
            <div class="foot">
                <span id="saved" class="quiet small" role="status">@if ($locked)Done {{ App\Support\Clock::shown($mark->done_at) }}@elseif ($mark->begun_at)Saved {{ App\Support\Clock::time($mark->updated_at) }}@else Saved as you go @endif</span>
                <button class="link small" type="button" data-opens="keys"><kbd>?</kbd> keys</button>
                <span class="ml-auto"></span>
                @if ($locked)
                    @unless ($script->result()->exists())<form method="post" action="{{ route('mark.reopen', $mark) }}">@csrf<button class="button">Open it again</button></form>@endunless
                    @if ($queue['next'])<a class="button primary" href="{{ route('mark.desk', $queue['next']) }}">Next</a>@endif
                @else
                    <form method="post" action="{{ route('mark.done', $mark) }}" data-finish>@csrf<button class="button primary">{{ $queue['open'] > 1 ? 'Done, next' : 'Done' }}</button></form>
                @endif
            </div>
        </section>
    </div>
    <dialog id="brief" aria-labelledby="brief-title">
        <h2 id="brief-title" class="mb-2">The brief</h2>
        <div class="whitespace-pre-line">{{ $assignment->brief }}</div>
        <div class="flex justify-end mt-3"><button class="button" type="button" data-closes>Close</button></div>
    </dialog>
    <dialog id="keys" aria-labelledby="keys-title">
        <h2 id="keys-title" class="mb-2">Keys at the desk</h2>
        <table class="table small"><tbody>
            <tr><td><kbd>Tab</kbd></td><td>from rail to comment to the next rail</td></tr>
            <tr><td><kbd>←</kbd> <kbd>→</kbd></td><td>move the pin by half a level</td></tr>
            <tr><td><kbd>1</kbd> to <kbd>9</kbd></td><td>choose a level on the rail that has the focus; <kbd>0</kbd> takes it back</td></tr>
            <tr><td><kbd>g</kbd></td><td>write the general comment</td></tr>
            <tr><td><kbd>n</kbd> <kbd>p</kbd></td><td>next and previous script</td></tr>
            <tr><td><kbd>w</kbd> <kbd>b</kbd></td><td>the working; the brief</td></tr>
        </tbody></table>
        <div class="flex justify-end mt-3"><button class="button" type="button" data-closes>Close</button></div>
    </dialog>
</x-page>

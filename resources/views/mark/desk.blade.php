@php
    use YoungHarbor\Core\Marking\SecondView;
    $locked = $mark->isClosed();
    $stays = $locked ? $mark->whyItStays() : null;
    $key = fn (string $command): string => $keys[$command] ?? '';
    $earlier = $attempt->id !== $mark->work_id;
@endphp
<x-page :title="$script->code.': the desk'" at="modules" bare fill quiet-errors>
    <x-slot:head>
        <x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Mark" slim :open-marks="$queue['open']" />
    </x-slot:head>
    <div class="desk" data-desk="{{ $mark->public_id }}">
        <section class="script" aria-label="The script" tabindex="0">
            <div class="script-bar">
                <b class="code">{{ $script->code }}</b>
                @if ($assignment->namesRevealed())<span>{{ $script->names() }}</span>@endif
                <span class="quiet">{{ __('mark.seat.'.$mark->seat->value) }}</span>
                <span class="quiet whitespace-nowrap">{{ number_format($attempt->words) }} words</span>
                @if ($attempts->count() > 1)
                    <details class="drop"><summary class="link">attempt {{ $attempt->attempt }}
                    of {{ $attempts->count() }}</summary>
                        <div class="panel absolute! z-20 left-0 w-72">
                            @foreach ($attempts as $one)<p class="py-0.5">
                            <a href="{{ route('mark.desk',
                            $one->id === $mark->work_id ? $mark : [$mark, 'attempt' => $one->attempt]) }}"
                            @if ($one->id === $attempt->id) aria-current="true" @endif>Attempt {{ $one->attempt }}</a>
                            <span class="quiet small">{{ number_format($one->words) }}
                            words{{ $one->id === $mark->work_id ? ', the one to mark' : '' }}</span></p>@endforeach
                            </div></details>
                @endif
                <button class="link" type="button" data-opens="brief" data-do="brief">brief</button>
                @if ($declaration !== [])<button class="link" type="button"
                    data-opens="declared">declaration</button>@endif
                @foreach ($attempt->files as $file)
                    @if ($file->link)<a href="{{ $file->link }}" target="_blank"
                        rel="noreferrer noopener">open the link</a>@endif
                @endforeach
                @if ($copies !== [] && ! $earlier)
                    <details class="drop"><summary class="link">download</summary>
                        <div class="panel absolute! z-20 left-0 w-80">
                            <p class="small mb-2">Made anew from the text, so that nothing in it names its author: fonts, page breaks and exact layout are not as they were handed in.
                            </p>
                            @foreach ($copies as $kind)<p class="py-0.5">
                                <a href="{{ route('mark.file',
                                [$mark, $kind->value]) }}">{{ $kind->label() }}</a>@if ($kind === App\Extraction\CopyKind::Pdf
                                && $files !== [] && $attempt->files->count() === 1)
                                <span class="quiet small">its pages as pictures</span>@endif</p>@endforeach
                        </div></details>
                @endif
                @if ($files !== [] && ! $earlier)<button class="link" type="button"
                    data-command="pages">pages</button>@endif
                @can('viewOverlap', [$script, $mark])<a href="{{ route('screen.show',
                    $script) }}">overlap</a>@if ($assignment->writing_baseline_id !== null)
                    <a href="{{ route('writing.show', $script) }}">writing</a>@endif @endcan
                <span class="ml-auto whitespace-nowrap"><span class="quiet">{{ $queue['place'] }}
                of {{ $queue['all'] }}</span>
                    @if ($queue['previous'])<a class="ml-2" data-do="previous"
                        href="{{ route('mark.desk', [$queue['previous'], ...$filter]) }}">‹ previous</a>@endif
                    @if ($queue['next'])<a class="ml-2" data-do="next"
                        href="{{ route('mark.desk', [$queue['next'], ...$filter]) }}">next ›</a>@endif
                </span>
            </div>
            @if ($mark->aside_reason !== null && ! $locked)<p class="notice small mb-3">
                Set aside: {{ $mark->aside_reason }}</p>@endif
            @if ($together && ! $locked)<form class="notice small mb-3 flex items-center gap-4" method="post"
                action="{{ route('mark.together', $mark) }}">
                @csrf<span>You have marked this script when all marked together.</span><button class="button small">
                Begin from that mark</button></form>@endif
            @if ($earlier)<p class="notice small mb-3">
                This is attempt {{ $attempt->attempt }}, which does not count. Comments are made on attempt {{ $mark->handin->attempt }}.
                <a href="{{ route('mark.desk', $mark) }}">Back to it</a></p>@endif
            @includeWhen($records !== [], 'observe.record')
            @if ($attempt->isErased())<p class="notice small mb-3">{{ __('keeping.erase.text_gone') }}</p>@endif
            <div class="reader">
                <article class="text" dir="auto">{!! $attempt->html !!}</article>
                <div id="margin" aria-label="Comments beside the text" role="group">
                    <button class="button" id="offer" type="button" hidden>comment</button>
                </div>
            </div>
            @if ($later !== null && $later->isNotEmpty())
                <details class="mt-6 border-t border-rule pt-3"><summary class="link">{{ trans_choice('discuss.later', $later->count()) }}</summary>
                    @foreach ($later as $post)<div class="mt-3"><p class="quiet small">{{ __($post->isReply() ? 'discuss.later_reply'
                        : 'discuss.later_post', ['topic' => $post->topic->title]) }}</p><div class="text" dir="auto">{!! $post->masked !!}</div></div>@endforeach
                </details>@endif
            @include('mark.desk-pages')
            @include('mark.desk-strip')
        </section>
        <div role="separator" aria-orientation="vertical" aria-label="Border between script and rubric"
            tabindex="0"></div>
        <section class="side" aria-label="The rubric">
            <div id="messages">@foreach ($errors->all() as $message)
            <div class="notice refusal m-3" role="alert">{{ $message }}</div>@endforeach</div>
            <div class="notice refusal m-3" id="trouble" role="alert" hidden><span data-text></span>
            <a data-sign-in href="{{ route('sign-in') }}" target="_blank" rel="opener"
                hidden>Sign in, in another tab</a>
                <button class="link" type="button" data-take-away hidden>save it as a file</button></div>
            @include('mark.total')
            @if ($waiting)<p class="notice m-3">The first mark of this script is not done, so there is nothing to check yet.
                Today tells you when it is.</p>@endif
            <div class="rails" tabindex="{{ $locked ? 0 : -1 }}">
                @foreach ($rubric->criteria as $criterion)
                    @php
                        $set = $mark->choices->on($criterion->id());
                        $id = $criterion->id();
                    @endphp
                    <form class="criterion" data-part="{{ $id }}" method="post"
                        action="{{ route('mark.choose', [$mark, $id]) }}">
                        @csrf @method('put')
                        <fieldset @disabled($locked)>
                            <x-mark-criterion :criterion="$criterion" :set="$set">
                                <span class="criterion-tools">
                                    <button class="link" type="button" data-steps="{{ $id }}" hidden></button>
                                    <button class="link" type="button" data-lately data-opens="lately"
                                        hx-get="{{ route('mark.lately', [$mark, $id]) }}" hx-target="#lately-body"
                                        aria-label="Your last ten on {{ $criterion->title() }}">your last ten</button>
                                    @unless ($locked)<button class="link" type="button" data-record="voice"
                                        data-criterion="{{ $id }}"
                                        aria-label="Record voice on {{ $criterion->title() }}">record</button>@endunless
                                </span>
                            </x-mark-criterion>
                            <div data-clash="mark"></div>
                            @include('mark.beside-criterion')
                            @include('mark.beside-ratings')
                            <label class="sr-only" for="c-{{ $id }}">Comment on {{ $criterion->title() }}</label>
                            <textarea class="input mt-1 min-h-9! field-sizing-content" id="c-{{ $id }}" name="comment"
                                rows="1" dir="auto" placeholder="comment on {{ Str::lower(
                                $criterion->title()) }}">{{ $set->comment }}</textarea>
                            <div data-clash="words"></div>
                            <noscript><button class="button mt-1">Save</button></noscript>
                        </fieldset>
                    </form>
                @endforeach
                <form class="criterion" data-part="general" method="post" action="{{ route('mark.comment', $mark) }}">
                    @csrf @method('put')
                    <fieldset @disabled($locked)>
                        <label class="font-bold" for="general">In general</label>
                        <textarea class="input mt-1 field-sizing-content" id="general" name="general_comment" rows="4"
                            dir="auto">{{ $mark->general_comment }}</textarea>
                        <div data-clash="words"></div>
                        <noscript><button class="button mt-1">Save</button></noscript>
                        <div class="criterion-tools">
                            <button class="link" type="button" data-gather>gather the comments on criteria here</button>
                            <button class="link" type="button" data-dictate hidden
                                title="Your browser turns speech into text; some send the sound to their maker for it.">
                                dictate</button><span class="hint">**bold**, *italic*, - list</span></div>
                    </fieldset>
                </form>
                <div class="criterion">
                    <p><b>Comments on the script</b> <span class="quiet small" id="note-count"></span></p>
                    <ol id="note-list" class="note-list"></ol>
                    <noscript><p class="quiet small">Comments on the text need a page script.</p></noscript>
                    <div class="criterion-tools">
                        @unless ($locked)<button class="link" type="button"
                            data-command="comment">comment on the selected words</button>
                            <button class="link" type="button" data-command="undo">undo</button>@endunless
                        <button class="link" type="button"
                            data-do="bank">comment bank</button><a href="{{ route('mark.annotations',
                            $mark) }}">comments as a file</a>
                    </div>
                </div>
                @include('mark.beside')
                @if ($mark->asksWhy())
                    <form class="criterion" data-part="reason" method="post"
                        action="{{ route('mark.comment', $mark) }}">
                        @csrf @method('put')
                        <fieldset @disabled($locked)><label class="font-bold"
                            for="reason">{{ __('mark.why.'.$mark->seat->value) }}</label>
                            <p class="hint">{{ __('mark.why_hint') }}</p>
                            <textarea class="input mt-1 field-sizing-content" id="reason" name="reason" rows="2"
                                dir="auto">{{ $mark->reason }}</textarea>
                            <div data-clash="words"></div>
                            <noscript><button class="button mt-1">Save</button></noscript></fieldset>
                    </form>
                @endif
                <div class="criterion" id="attachments">@include('mark.attachments')</div>
                <details class="criterion" @if ($mark->private_note !== '') open @endif>
                    <summary><b>For staff only</b> <span class="quiet small">no student ever sees it</span></summary>
                    <form data-part="private" method="post" action="{{ route('mark.comment', $mark) }}">
                        @csrf @method('put')
                        <fieldset @disabled($locked)><label class="sr-only"
                            for="private">Note for staff only</label><textarea class="input mt-1" id="private"
                            name="private_note" rows="2"
                            dir="auto">{{ $mark->private_note }}</textarea><div data-clash="words">
                            </div><noscript><button class="button mt-1">Save</button></noscript></fieldset>
                    </form>
                </details>
            </div>
            <p id="hint" class="small quiet px-4" aria-hidden="true"></p>
            <div class="foot">
                <span id="saved" class="quiet small min-w-0"
                    role="status">@if ($mark->isDone())Done {{ App\Wording\LocalTime::shown(
                    $mark->done_at) }}@elseif ($locked)Results are out; nothing is left to do here
                    @elseif ($mark->begun_at)Saved {{ App\Wording\LocalTime::time($mark->updated_at) }}@else
                    Saved as you go @endif</span>
                <button class="link small" type="button" data-opens="keys" data-do="keys"><kbd>?</kbd> keys</button>
                <span class="ml-auto"></span>
                @if ($locked)
                    @if ($stays !== null)<span class="quiet small stays">{{ $stays }}</span>@else<form method="post"
                        action="{{ route('mark.reopen', $mark) }}">
                        @csrf<button class="button">Open it again</button></form>@endif
                    @if ($queue['next'])<a class="button primary" data-do="done"
                        href="{{ route('mark.desk', [$queue['next'], ...$filter]) }}">Next</a>@endif
                @else
                    <button class="button" type="button" data-opens="aside"
                        data-do="aside">{{ $mark->aside_reason === null ? 'Set aside' : 'Set aside …' }}</button>
                    @if ($mark->view === SecondView::Check && $beside->isNotEmpty() && $mark->choices->isEmpty())
                        <form method="post" action="{{ route('mark.take-first', $mark) }}">@csrf
                            <button class="button">Propose another</button></form>
                        <form method="post" action="{{ route('mark.agree', [$mark, ...$filter]) }}" data-after-saving>
                            @csrf<input type="hidden" name="seen" value="{{ $beside->first()->lock_version }}">
                            <button class="button primary" data-do="done">Agree with {{ $beside->first()->shownTotal() }}</button></form>
                    @elseif (! $waiting)
                    <form method="post" action="{{ route('mark.done', [$mark, ...$filter]) }}" data-after-saving>
                        @csrf<button class="button primary"
                        data-do="done">{{ $queue['open'] > 1 ? 'Done, next' : 'Done' }}</button></form>
                    @endif
                @endif
            </div>
        </section>
        <p id="spoken" class="sr-only" aria-live="polite"></p>
        @include('mark.desk-bank')
        @unless ($locked)
            <dialog id="voice" aria-labelledby="voice-title">
                <h2 id="voice-title" class="mb-2">Voice</h2>
                <p class="mb-2" aria-live="polite"><span data-time></span></p>
                <svg class="mb-2" width="202" height="12" role="img" aria-label="Loudness">
                    <rect x="0.5" y="0.5" width="201" height="11" fill="none" stroke="var(--quiet)" />
                    <rect data-level x="1" y="1" width="0" height="10" fill="var(--deep)" /></svg>
                <video class="w-full mb-2" data-video-live autoplay muted playsinline hidden></video>
                <div class="mb-2" data-played hidden><audio class="w-full" data-play
                    controls></audio><video class="w-full" data-play-video controls hidden></video></div>
                <label class="label" for="f-written">The same in writing
                <span class="hint">for those who read rather than listen</span></label>
                <textarea class="input mb-2" id="f-written" rows="3" data-written maxlength="5000"></textarea>
                <p class="small mb-2" data-say role="status"></p>
                <div class="flex flex-wrap justify-end gap-2">
                    <button class="button" type="button" data-closes>Close</button>
                    <button class="button" type="button" data-redo hidden>Record it anew</button>
                    <button class="button" type="button" data-pause hidden>Pause</button>
                    <button class="button" type="button" data-go-on hidden>Go on</button>
                    <button class="button primary" type="button" data-stop hidden>Stop</button>
                    <button class="button primary" type="button" data-begin>Begin</button>
                    <button class="button primary" type="button" data-keep hidden>Save the recording</button></div>
            </dialog>
            <dialog id="aside" aria-labelledby="aside-title">
                <form method="post" action="{{ route('mark.aside', $mark) }}" data-after-saving>@csrf
                    <h2 id="aside-title" class="mb-2">Set {{ $script->code }} aside</h2>
                    <p class="mb-2">What you have done is kept. It waits at the end of your queue with this note.</p>
                    <x-field name="reason" label="Why" :value="$mark->aside_reason" maxlength="300" />
                    <div class="flex justify-end gap-2"><button class="button" type="button" data-closes>Close</button>
                    @if ($mark->aside_reason !== null)<button class="button" name="back"
                        value="1">Take it up again</button>@endif<button class="button primary">Set aside</button></div>
                </form>
            </dialog>
            @include('mark.desk-keep')
        @endunless
    </div>
    <dialog id="brief" aria-labelledby="brief-title">
        <h2 id="brief-title" class="mb-2">The brief</h2>
        <div class="whitespace-pre-line">{{ $assignment->brief }}</div>
        <div class="flex justify-end mt-3"><button class="button" type="button" data-closes>Close</button></div>
    </dialog>
    @if ($declaration !== [])
        <dialog id="declared" aria-labelledby="declared-title">
            <h2 id="declared-title" class="mb-2">Declaration</h2>
            <p class="quiet small mb-2">Handed in with the work. The author’s name is taken out.</p>
            <dl>@foreach ($declaration as $one)<dt class="font-bold mt-2">{{ $one['label'] }}</dt>
            <dd>{{ $one['answer'] }}</dd>@endforeach</dl>
            <div class="flex justify-end mt-3"><button class="button" type="button" data-closes>Close</button></div>
        </dialog>
    @endif
    <dialog id="whole" class="wide" aria-labelledby="whole-title">
        <h2 id="whole-title" class="mb-2">The whole rubric</h2>
        <div id="whole-body" class="scroll"></div>
        <div class="flex justify-end mt-3"><button class="button" type="button" data-closes>Close</button></div>
    </dialog>
    <dialog id="levels" aria-labelledby="levels-title">
        <h2 id="levels-title" class="mb-2">How the levels are meant</h2>
        @forelse ($levelNotes as $note)
            <h3 class="mt-2">{{ $rubric->criterion($note->criterion)?->title() }}</h3>
            <p class="whitespace-pre-line">{{ $note->text }}</p>
        @empty
            <p>Nothing is written down. What the markers agree when they have marked the same scripts stands here.
            <a href="{{ route('together.index', $assignment) }}">Starting together</a></p>
        @endforelse
        <div class="flex justify-end mt-3"><button class="button" type="button" data-closes>Close</button></div>
    </dialog>
    <dialog id="lately" aria-labelledby="lately-title"><h2 id="lately-title" class="mb-2">Your last ten</h2>
    <div id="lately-body"><p class="quiet">Looking …</p></div>
    <div class="flex justify-end mt-3"><button class="button" type="button" data-closes>Close</button></div></dialog>
    @include('mark.desk-keys', ['names' => App\Desk\DeskKeys::NAMES])
    <script type="application/json"
        id="desk-data">{!! json_encode($config,
        JSON_HEX_TAG | JSON_HEX_AMP | JSON_HEX_APOS | JSON_HEX_QUOT | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR) !!}</script>
</x-page>

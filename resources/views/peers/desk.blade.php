@php
    $key = fn (string $command): string => $keys[$command] ?? '';
    $least = $round->settings->leastWords;
    $attempt = $mark->handin;
    $name = $review->own ? 'Your own work' : $review->work->code;
    $concerns = (array) session('concerns', []);
@endphp
<x-page :title="$name.': '.$round->title" at="modules" bare fill quiet-errors>
    <x-slot:head><div class="heading slim">
        <h1>{{ $round->title }}</h1><a class="of" href="{{ route('rounds.show', $round) }}">back to the round</a></div>
        </x-slot:head>
    <div class="desk" data-desk="{{ $mark->public_id }}">
        <section class="script" aria-label="The work" tabindex="0">
            <div class="script-bar">
                <b class="code">{{ $name }}</b>
                @if (! $review->own && $round->settings->names->reviewersSeeAuthors())<span>{{ $review->work->script->names() }}</span>@endif
                <span class="quiet whitespace-nowrap">{{ number_format($attempt->words) }} words</span>
                <button class="link" type="button" data-opens="brief" data-do="brief">brief</button>
                @foreach ($attempt->files as $file)@if ($file->link)<a href="{{ $file->link }}" target="_blank"
                    rel="noreferrer noopener">open the link</a>@endif @endforeach
                @if ($files !== [])<button class="link" type="button" data-command="pages">pages</button>@endif
                @unless ($review->own)<span class="ml-auto whitespace-nowrap"><span class="quiet">{{ $queue['place'] }}
                of {{ $queue['all'] }}</span>
                    @if ($queue['previous'])<a class="ml-2" data-do="previous"
                        href="{{ route('peer-reviews.desk', $queue['previous']) }}">‹ previous</a>@endif
                    @if ($queue['next'])<a class="ml-2" data-do="next"
                        href="{{ route('peer-reviews.desk', $queue['next']) }}">next ›</a>@endif</span>@endunless
            </div>
            <div class="reader">
                <article class="text" dir="auto">{!! $attempt->html !!}</article>
                <div id="margin" aria-label="Comments beside the text" role="group">
                    <button class="button" id="offer" type="button" hidden>comment</button></div>
            </div>
            @include('mark.desk-pages')
            @include('mark.desk-strip')
        </section>
        <div role="separator" aria-orientation="vertical" aria-label="Border between work and rubric"
            tabindex="0"></div>
        <section class="side" aria-label="The rubric">
            <div id="messages">@foreach ($errors->all() as $message)
            <div class="notice refusal m-3" role="alert">{{ $message }}</div>@endforeach
                @if ($concerns !== [])<div class="notice m-3" role="alert"><p class="font-bold">Before you send it</p>
                    <ul class="list-disc ml-5">@foreach ($concerns as $concern)<li>{{ $concern }}</li>@endforeach</ul>
                    <form class="mt-2 flex justify-end" method="post" action="{{ route('peer-reviews.done', $review) }}"
                        data-after-saving>@csrf
                        <input type="hidden" name="as_it_is" value="1"><button class="button">Send it as it is</button>
                        </form></div>@endif</div>
            <div class="notice refusal m-3" id="trouble" role="alert" hidden><span data-text></span>
                <a data-sign-in href="{{ route('sign-in') }}" target="_blank" rel="opener"
                    hidden>Sign in, in another tab</a>
                <button class="link" type="button" data-take-away hidden>save it as a file</button></div>
            @include('mark.total')
            <div class="rails" tabindex="{{ $locked ? 0 : -1 }}">
                @foreach ($rubric->criteria as $criterion)
                    @php
                        $set = $mark->choices->on($criterion->id());
                        $id = $criterion->id();
                        $counts = $least > 0 && ! $criterion instanceof YoungHarbor\Core\Rubric\CommentCriterion;
                    @endphp
                    <form class="criterion" data-part="{{ $id }}" method="post"
                        action="{{ route('mark.choose', [$mark, $id]) }}">
                        @csrf @method('put')
                        <fieldset @disabled($locked)>
                            <x-mark-criterion :criterion="$criterion"
                                :set="$set"><span class="criterion-tools"><button class="link" type="button"
                                data-steps="{{ $id }}" hidden></button></span></x-mark-criterion>
                            <div data-clash="mark"></div>
                            <label class="sr-only" for="c-{{ $id }}">Comment on {{ $criterion->title() }}</label>
                            <textarea class="input mt-1 min-h-9! field-sizing-content" id="c-{{ $id }}" name="comment"
                                rows="2" dir="auto"
                                @if ($counts) data-least="{{ $least }}" aria-describedby="l-{{ $id }}" @endif
                                placeholder="comment on {{ Str::lower(
                                    $criterion->title()) }}">{{ $set->comment }}</textarea>
                            @if ($counts)<p class="hint" id="l-{{ $id }}" data-missing></p>@endif
                            <div data-clash="words"></div>
                            <noscript><button class="button mt-1">Save</button></noscript>
                        </fieldset>
                    </form>
                @endforeach
                <form class="criterion" data-part="general" method="post" action="{{ route('mark.comment', $mark) }}">
                    @csrf @method('put')
                    <fieldset @disabled($locked)>
                        <label class="font-bold"
                            for="general">{{ $review->own ? 'In general' : 'What should the author do next?' }}</label>
                        <textarea class="input mt-1 field-sizing-content" id="general" name="general_comment" rows="4"
                            dir="auto">{{ $mark->general_comment }}</textarea>
                        <div data-clash="words"></div>
                        <noscript><button class="button mt-1">Save</button></noscript>
                    </fieldset>
                </form>
                <div class="criterion">
                    <p><b>Comments on the text</b> <span class="quiet small" id="note-count"></span></p>
                    <ol id="note-list" class="note-list"></ol>
                    <noscript><p class="quiet small">Comments on the text need a page script.</p></noscript>
                    @unless ($locked)<div class="criterion-tools">
                        <button class="link" type="button" data-command="comment">comment on the selected words</button>
                        <button class="link" type="button" data-command="undo">undo</button>
                        <button class="link" type="button" data-do="bank">your comment bank</button></div>@endunless
                </div>
            </div>
            <p id="hint" class="small quiet px-4" aria-hidden="true"></p>
            <div class="foot">
                <span id="saved" class="quiet small min-w-0" role="status">@if ($mark->isDone())Done
                @elseif ($locked)The round is closed @elseif ($mark->begun_at)Saved @else Saved as you go @endif</span>
                <button class="link small" type="button" data-opens="keys" data-do="keys"><kbd>?</kbd> keys</button>
                <span class="ml-auto"></span>
                @if ($mark->isDone())
                    @if ($stays !== null)<span class="quiet small stays">{{ $stays }}</span>@else<form method="post"
                        action="{{ route('peer-reviews.reopen', $review) }}">
                            @csrf<button class="button">Open it again</button></form>@endif
                    <a class="button primary" href="{{ route('rounds.show', $round) }}">Back to the round</a>
                @elseif (! $locked)
                    @unless ($review->own)<button class="button" type="button"
                        data-opens="cannot">I cannot review this</button>@endunless
                    <form method="post" action="{{ route('peer-reviews.done', $review) }}" data-after-saving>
                        @csrf<button class="button primary" data-do="done">Done</button></form>
                @endif
            </div>
        </section>
        <p id="spoken" class="sr-only" aria-live="polite"></p>
        @include('mark.desk-bank')
        @unless ($locked)
            @include('mark.desk-keep')
            @unless ($review->own)<dialog id="cannot" aria-labelledby="cannot-title"><form method="post"
                action="{{ route('peer-reviews.return', $review) }}">@csrf
                <h2 id="cannot-title" class="mb-2">I cannot review this</h2>
                <p class="mb-2">Your coordinator is told, and someone else is found. Only they learn why.</p>
                <fieldset class="mb-2"><legend class="sr-only">
                    Why</legend>@foreach (App\Enums\WhyReturned::cases() as $why)<label class="block py-0.5">
                    <input type="radio" name="why" value="{{ $why->value }}" required>
                    {{ __("peers.returned.{$why->value}") }}</label>@endforeach</fieldset>
                <x-field name="text" label="In a sentence" rows="3" maxlength="2000" />
                <div class="flex justify-end gap-2"><button class="button" type="button" data-closes>Close</button>
                <button class="button primary">Give it back</button></div></form></dialog>@endunless
        @endunless
    </div>
    <dialog id="brief" aria-labelledby="brief-title"><h2 id="brief-title" class="mb-2">The brief</h2>
        <div class="whitespace-pre-line">{{ $assignment->brief }}</div>
        <div class="flex justify-end mt-3">
            <button class="button" type="button" data-closes>Close</button></div></dialog>
    <dialog id="whole" class="wide" aria-labelledby="whole-title"><h2 id="whole-title"
        class="mb-2">The whole rubric</h2>
        <div id="whole-body" class="scroll"></div>
        <div class="flex justify-end mt-3">
            <button class="button" type="button" data-closes>Close</button></div></dialog>
    @include('mark.desk-keys')
    <script type="application/json" id="desk-data">{!! json_encode($config,
        JSON_HEX_TAG | JSON_HEX_AMP | JSON_HEX_APOS | JSON_HEX_QUOT | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR) !!}</script>
</x-page>

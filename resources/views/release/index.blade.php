@php($shown = fn ($list) => implode(', ',
    array_slice($list, 0, 6)).(count($list) > 6 ? ' and '.(count($list) - 6).' more' : ''))
<x-page :title="'Release: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Release" /></x-slot:head>
    <div class="split">
        <div>
            <h2 class="mb-2">Ready check</h2>
            @foreach (['asked', 'approved'] as $state)
                @if (($n = $corrections[$state] ?? 0) > 0)<p class="notice">
                    {{ trans_choice("corrections.release.{$state}", $n, [
                    'count' => $n]) }} <a href="{{ route('corrections.index', $assignment) }}">Corrections</a></p>@endif
            @endforeach
            @foreach ($correctedSince as $reader => $n)<p class="notice">
                {{ trans_choice('corrections.release.since_signed', $n, [
                'count' => $n, 'reader' => __("moderate.reader.{$reader}")]) }}
                <a href="{{ route('packs.index', $assignment) }}">Packs</a></p>@endforeach
            <div class="panel py-1! mb-6">
                @foreach ($check->locks as $lock)
                    <div class="lock">
                        <svg width="24" height="26" viewBox="0 0 24 26" role="img"
                            aria-label="{{ $lock->isOpen() ? 'open' : 'closed' }}">
                            <path d="{{ $lock->isOpen() ? 'M6 12 V7 a5 5 0 0 1 9.600 -2'
                                : 'M6 12 V8 a6 6 0 0 1 12 0 V12' }}" fill="none"
                                stroke="{{ $lock->isOpen() ? 'var(--kelp)' : 'var(--signal)' }}" stroke-width="2.5" />
                            <rect x="3" y="12" width="18" height="12" rx="2"
                                fill="{{ $lock->isOpen() ? 'none' : 'var(--signal)' }}"
                                stroke="{{ $lock->isOpen() ? 'var(--kelp)' : 'var(--signal)' }}" stroke-width="2" />
                        </svg>
                        <div class="grow min-w-0">{{ trans_choice('release.obstacle.'.$lock->obstacle->value,
                            count($lock->scripts)) }}@unless ($lock->isOpen())<br><span class="quiet small">{{ $shown(
                            $lock->obstacle === YoungHarbor\Core\Release\ReleaseObstacle::NotSigned
                            ? array_map(fn ($one) => __("release.signature.{$one}"), $lock->scripts)
                            : $lock->scripts) }}</span>@endunless</div>
                        @unless ($lock->isOpen())<a
                            href="{{ $lock->obstacle === YoungHarbor\Core\Release\ReleaseObstacle::NotSigned
                            ? route('packs.index', $assignment)
                            : ($lock->obstacle === YoungHarbor\Core\Release\ReleaseObstacle::RoundOpen
                            ? route($assignment->rounds->isEmpty() ? 'contribution.index' : 'rounds.index',
                                $assignment) : ($lock->obstacle->stage() === YoungHarbor\Core\Stage::Release ? '#scripts'
                            : route($lock->obstacle->stage()->value.'.index',
                            $assignment))) }}">Go to {{ $lock->obstacle->stage() === YoungHarbor\Core\Stage::Release
                            ? 'the list' : $lock->obstacle->stage()
                            ->label() }}</a>@else<span class="kelp">nothing in the way</span>@endunless
                    </div>
                @endforeach
            </div>
            <h2 class="mb-2" id="scripts">Scripts</h2>
            @if ($leftOut)<p class="notice mb-3">{{ __('contribution.left_out') }}</p>@endif
            @if ($scripts->isEmpty())
                <x-empty title="No scripts yet">The assignment is not open to students.</x-empty>
            @else
                <div class="sheet scroll"><table class="table">
                    <thead><tr><th><span class="sr-only">Choose</span></th><th>Script</th><th class="num">Mark</th>
                    <th>Band</th><th>Status</th><th>Read</th><th></th></tr></thead>
                    <tbody>
                        @foreach ($scripts as $script)
                            @php($standing = $standings[$script->code])
                            <tr>
                                <td>@if ($ready->contains($script))<input type="checkbox"
                                    form="release" name="scripts[]" value="{{ $script->code }}"
                                    aria-label="Choose {{ $script->code }}">@endif</td>
                                <td class="code">{{ $script->code }}</td>
                                <td class="num font-bold">{{ $script->result ? $script->result->shownMark()
                                    : ($assignment->release->feedbackOnly ? '' : ($finals[$script->code]->mark ?? '')) }}</td>
                                <td>{{ $script->result ? ($script->result->band ?? 'feedback, no mark')
                                    : ($assignment->release->feedbackOnly ? 'feedback, no mark'
                                    : ($finals[$script->code]?->band->name
                                    ?? ($assignment->namesRevealed() ? $script->outcomeCase()?->inWords() : ''))) }}@if (in_array($script->code, $below,
                                    true))<br><span class="quiet small">agreed {{ $script->leadScript()->settlement->shownMark() }}, below the pass line after what came off</span>
                                    @endif</td>
                                <td><x-standing :standing="$standing" />@if ($script->held_reason
                                    && ! $script->result)<br><span
                                    class="quiet small">{{ $script->held_reason }}</span>@endif</td>
                                <td class="quiet small">
                                    @if ($script->result?->first_opened_at === null){{ $script->result ? 'not opened' : ''
                                    }}@elseif (! $assignment->namesRevealed())opened
                                    @else{{ App\Wording\LocalTime::shown($script->result->first_opened_at).(
                                    $script->result->seconds_open >= 60
                                    ? ', '.intdiv($script->result->seconds_open, 60).' min' : '') }}@endif</td>
                                <td class="num whitespace-nowrap">
                                    @if (isset($finals[$script->code]) && ! $script->result)<a
                                        href="{{ route('release.preview', $script) }}">as its student sees it</a>
                                    @elseif ($script->result
                                        && $assignment->namesRevealed())<a href="{{ route('results.show',
                                        $script->result) }}">open</a>
                                    @elseif ($script->result && $script->leadScript()->settlement)<a
                                        href="{{ route('results.correct', $script->result) }}">correct</a>@endif
                                    @if (! $script->result && $script->current_handin_id)
                                        @if ($script->held_reason)
                                            <form method="post" action="{{ route('scripts.hold', $script) }}">
                                                @csrf<button class="link" name="let_go" value="1">end the hold</button>
                                                </form>
                                        @else
                                            <details class="relative"><summary class="link list-none">hold</summary>
                                                <form class="flex gap-2 mt-1" method="post"
                                                    action="{{ route('scripts.hold', $script) }}">
                                                    @csrf<label class="sr-only"
                                                    for="h-{{ $script->code }}">Why {{ $script->code }}
                                                    is held</label><input class="input" id="h-{{ $script->code }}"
                                                        name="reason" placeholder="why" required
                                                        minlength="5"><button class="button">Hold</button></form>
                                            </details>
                                        @endif
                                    @endif
                                </td>
                            </tr>
                        @endforeach
                    </tbody>
                </table></div>
            @endif
        </div>
        <aside>
            @if ($ready->isEmpty() && $scripts->contains(fn ($one) => $one->result !== null)
                && ! $scripts->contains(fn ($one) => $one->result === null && $one->current_handin_id !== null))
                <p class="panel mb-4">{{ __('release.all_out') }}</p>
            @else @include('release.release-form')
            @endif
            @include('release.releases')
            @if ($absent > 0)
                @php($get = $assignment->release->absent)
                <form class="panel mb-4" method="post" action="{{ route('release.absent', $assignment) }}">@csrf
                    <h2 class="mb-1">{{ trans_choice('cases.absent', $absent, ['count' => $absent]) }}</h2>
                    @if ($get === null)<p class="quiet">
                        The assignment does not say what they get. Decide on each student’s page, from
                        <a href="{{ route('collect.index', $assignment) }}">Collect</a>, or say it under
                        <a href="{{ route('plan.edit', $assignment) }}">Plan</a>.</p>
                    @else<p class="quiet mb-2">
                        {{ ucfirst(__("plan.absent.{$get->value}")) }}, says the assignment. Whoever has good cause is
                        decided on their own page first.</p>
                        <label class="flex gap-2 mb-3"><input type="checkbox" name="sure" value="1">
                        I have looked who they are.</label>
                        <div class="flex justify-end">
                            <button class="button">{{ __("cases.give.{$get->value}") }}</button></div>@endif</form>
            @endif
            @if ($reviews->isNotEmpty())
                <div class="panel mb-4">
                    <h2 class="mb-1">{{ trans_choice('reviews.open', $reviews->count(),
                    ['count' => $reviews->count()]) }}</h2>
                    <ul>@foreach ($reviews as $one)
                    <li class="py-1"><a href="{{ route('reviews.show', $one) }}">{{ $one->ground->label() }}</a>
                        <span @class(['small', 'signal' => $one->answer_by->isPast(),
                            'quiet' => ! $one->answer_by->isPast()])>to be answered by
                            {{ App\Wording\LocalTime::day($one->answer_by) }}{{ $one->advised_at ? ', advice is in'
                                : ($one->with_id ? ', with someone' : '') }}</span></li>
                    @endforeach</ul></div>
            @endif
            @if ($provisional > 0)
                <form class="panel mb-4" method="post" action="{{ route('release.confirm', $assignment) }}">@csrf
                    <h2 class="mb-1">{{ trans_choice('release.provisional', $provisional,
                        ['count' => $provisional]) }}</h2>
                    <p class="quiet mb-3">Students read that a board of examiners still has to confirm them. Confirming changes no mark; a
                        mark the board wants otherwise is corrected first.</p>
                    <label class="flex gap-2 mb-3"><input type="checkbox" name="sure" value="1">
                        The board has confirmed these marks.</label>
                    @error('sure')<p class="error">{{ $message }}</p>@enderror
                    <div class="flex justify-end">
                        <button class="button">Confirm {{ $provisional }}</button></div></form>
            @endif
            @if ($check->released !== [])
                <div class="panel mb-4"><h2 class="mb-1">{{ count($check->released) }} released</h2>
                <p class="quiet">{{ $unopened === 0 ? 'Every one has been opened.'
                    : ($unopened === 1 ? '1 has not been opened yet.' : $unopened.' have not been opened yet.') }}
                    @if ($unopened > 0)<a href="{{ route('messages.create',
                        [$assignment, 'show' => 'unread']) }}">{{ __('release.write_unread') }}</a>. @endif
                    Who has read theirs is in the
                    <a href="{{ route('grade-book.show', $assignment->module) }}">grade book</a>.</p>
                    <p class="mt-2"><a href="{{ route('cohort-talk', $assignment) }}">{{ __('cohort-talk.title') }}</a></p></div>
                <div class="panel">
                    <h2 class="mb-1">Names</h2>
                    @if ($assignment->namesRevealed())
                        <p class="quiet">Revealed to markers {{ App\Wording\LocalTime::shown(
                            $assignment->names_revealed_at) }}.</p>
                    @elseif ($check->isClear() && $ready->isEmpty())
                        <form method="post" action="{{ route('release.reveal', $assignment) }}">@csrf
                            <label class="flex gap-2 mb-3"><input type="checkbox" name="sure" value="1">
                            Markers will see whose scripts they marked. I know this cannot be undone.</label>
                            <div class="flex justify-end"><button class="button">Reveal names</button></div>
                        </form>
                    @else
                        <p class="quiet">Names come last: they can be revealed when every script that was handed in is released.
                        </p>
                    @endif
                </div>
            @endif
        </aside>
    </div>
</x-page>

@php
    use App\Enums\ReleaseState;
    use App\Wording\LocalTime;
@endphp
@foreach ($releases as $one)
    @if ($one->state === ReleaseState::Running)
        <div class="panel mb-4" hx-get="{{ route('releases.progress', $one) }}" hx-trigger="every 1s"
            hx-swap="innerHTML">
            @include('release.progress', ['written' => 0])</div>
    @elseif ($one->state === ReleaseState::Set)
        <div class="panel mb-4"><h2 class="mb-1">Goes out {{ LocalTime::shown($one->due_at) }}</h2>
            <p class="quiet small mb-2">
                {{ __('release.scope.'.($one->scope->codes !== null ? 'codes' : ($one->scope->sections !== null
                ? 'sections' : 'all')), ['sections' => implode(', ', $one->scope->sections ?? []),
                'count' => count($one->scope->codes ?? [])]) }}{{ $one->provisional ? ', provisional'
                    : '' }}{{ $one->with_marks ? ''
                : ', feedback only' }}. Set by {{ $one->maker->name }}.</p>
            <form method="post" action="{{ route('releases.update', $one) }}">@csrf @method('put')
                <label class="label" for="m-{{ $one->public_id }}">Move it to</label>
                <div class="flex flex-wrap gap-2"><input class="input" id="m-{{ $one->public_id }}"
                    type="datetime-local" name="at"
                    value="{{ LocalTime::field($one->due_at) }}"><button class="button">Move</button>
                    <button class="link" name="stop" value="1">stop it</button></div></form></div>
    @endif
@endforeach
@if ($mailFailed->isNotEmpty())
    <form class="panel mb-4" method="post" action="{{ route('release.mail', $assignment) }}">@csrf
        <h2 class="mb-1">{{ trans_choice('release.mail_failed', $mailFailed->count(),
            ['count' => $mailFailed->count()]) }}</h2>
        <p class="quiet small mb-2">
            The results are there all the same. The mail server said: {{ $mailFailed->pluck('failure')->unique()
            ->take(3)->implode('; ') }}</p>
        <div class="flex justify-end"><button class="button">Try again</button></div></form>
@endif
@php $past = $releases->whereNotIn('state', [ReleaseState::Set, ReleaseState::Running]); @endphp
@if ($past->isNotEmpty())
    <div class="panel mb-4"><h2 class="mb-1">So far</h2>
        <ol class="small">@foreach ($past as $one)<li class="py-1">
            <b>{{ __("release.state.{$one->state->value}", ['released' => $one->released,
                'chosen' => max($one->chosen, $one->released),
                    'at' => $one->out_at ? LocalTime::exact($one->out_at) : '',
                'who' => $one->stopper->name ?? '',
                    'why' => $one->refused]) }}</b><span class="quiet">{{ $one->provisional
                ? ', provisional' : '' }}{{ $one->with_marks ? ''
                    : ', feedback only' }}, by {{ $one->maker->name }}</span>
            @if ($one->left_out !== [])<br><span class="signal">{{ trans_choice('release.left_out',
                count($one->left_out),
                ['count' => count($one->left_out)]) }} {{ implode(', ', array_map(fn ($code, $why) => "{$code} ("
                .__("mark.standing.{$why}").')', array_keys($one->left_out), $one->left_out)) }}</span>@endif
            @if ($one->wasLate())<br><span class="quiet">{{ __('release.was_late', [
                'at' => LocalTime::shown($one->due_at)]) }}</span>@endif</li>
        @endforeach</ol>
        @if ($mailWaiting > 0)<p class="quiet small mt-1">{{ trans_choice('release.mail_waiting', $mailWaiting, [
            'count' => $mailWaiting]) }}</p>@endif</div>
@endif

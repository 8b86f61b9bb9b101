@php use App\Enums\ReleaseState; @endphp
@if ($one->state === ReleaseState::Running)
    <h2 class="mb-1">{{ trans_choice('release.said_running', $one->chosen, ['count' => $one->chosen]) }}</h2>
    <p class="quiet" role="status">{{ $written }} of {{ $one->chosen }} are written. Nobody sees one before all are.</p>
@else
    <p role="status">{{ __("release.state.{$one->state->value}", ['released' => $one->released,
        'chosen' => max($one->chosen, $one->released),
            'at' => $one->out_at ? App\Wording\LocalTime::exact($one->out_at) : '',
        'who' => '', 'why' => $one->refused]) }}.
        <a href="{{ route('release.index', $one->assignment) }}">Show the list as it is now</a></p>
@endif

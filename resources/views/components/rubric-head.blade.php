{{--
    The head of every page about one rubric: where it belongs, its pages, and what can be done with the whole of it.
--}}
@props(['rubric', 'here'])
@php
    use App\Enums\RubricState;
    $pages = ['sheet' => ['rubrics.show', $rubric->state === RubricState::WorkingCopy ? 'Sheet' : 'Rubric'],
        'try' => ['rubrics.try', 'Try it'], 'students' => ['rubrics.students', 'As students see it'],
        'versions' => ['rubrics.versions', 'Versions'], 'files' => ['rubrics.files', 'Export']];
@endphp
<div class="heading pb-0!">
    <h1>{{ $rubric->title }}</h1>
    <span class="of">{{ $rubric->place() }}
    · {{ __('plan.rubric_state.'.$rubric->state->value) }}@if ($rubric->latestVersion), {{ $rubric->state === RubricState::WorkingCopy
        ? 'after version' : 'version' }}
        {{ $rubric->latestVersion->number }}@endif{{ $rubric->provenance === '' ? ''
            : ' · '.$rubric->provenance }}</span>
    <nav class="tabs" aria-label="This rubric">
        @foreach ($pages as $key => [$route, $words])<a href="{{ route($route, $rubric) }}"
            aria-current="{{ $here === $key ? 'page' : 'false' }}">{{ $words }}</a>@endforeach
        <span class="ml-auto flex gap-5 items-baseline">
            @can('copy', $rubric)<button class="link" type="button" data-opens="copy">Copy</button>@endcan
            @can('edit', $rubric)
                @if ($rubric->state !== RubricState::WorkingCopy)
                    <form method="post" action="{{ route('rubrics.state', $rubric) }}">@csrf<input type="hidden"
                        name="state" value="working-copy"><button class="link">Open it for changes</button></form>
                @endif
                @if ($rubric->state === RubricState::Ready)
                    <form method="post" action="{{ route('rubrics.state', $rubric) }}">@csrf<input type="hidden"
                        name="state" value="retired"><button class="link">Retire it</button></form>
                @endif
            @endcan
        </span>
    </nav>
</div>
@can('copy', $rubric)
    <dialog id="copy" aria-labelledby="copy-title">
        <form method="post" action="{{ route('rubrics.copy', $rubric) }}">
            @csrf
            <h2 id="copy-title" class="mb-2">A copy of “{{ $rubric->title }}”</h2>
            <x-choice name="to" label="Where to" :options="App\Queries\Plan\RubricLibrary::shelves(auth()->user())"
                hint="The rubric it is made from stays as it is." />
            <div class="flex justify-end gap-3"><button class="button" type="button" data-closes>Close</button>
            <button class="button primary">Make the copy</button></div>
        </form>
    </dialog>
@endcan

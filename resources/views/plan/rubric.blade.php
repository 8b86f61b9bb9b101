<x-page :title="$rubric->title" at="rubrics">
    <x-slot:head>
        <div class="heading">
            <h1>Rubrics</h1><a class="of" href="{{ route('modules.show', $rubric->module) }}">{{ $rubric->module->fullTitle() }}</a>
            @can('edit', $rubric)
                <span class="ml-auto flex gap-5">
                    <form method="post" action="{{ route('rubrics.copy', $rubric) }}">@csrf<button class="link">Copy this rubric</button></form>
                    @if ($rubric->state !== App\Enums\RubricState::WorkingCopy)
                        <form method="post" action="{{ route('rubrics.state', $rubric) }}">@csrf<input type="hidden" name="state" value="working copy"><button class="link">Open it for changes</button></form>
                    @endif
                    @if ($rubric->state === App\Enums\RubricState::Ready)
                        <form method="post" action="{{ route('rubrics.state', $rubric) }}">@csrf<input type="hidden" name="state" value="retired"><button class="link">Retire it</button></form>
                    @endif
                </span>
            @endcan
        </div>
    </x-slot:head>
    @isset($conflict)@include('plan.rubric-conflict', $conflict)@endisset
    @if ($editable)
        @include('plan.rubric-sheet')
        <dialog id="keys" aria-labelledby="keys-title">
            <h2 id="keys-title" class="mb-2">Keys</h2>
            <p><kbd>Tab</kbd> and <kbd>Shift</kbd> <kbd>Tab</kbd> go from cell to cell. What you write is saved as you leave a cell. <kbd>?</kbd> shows this list.</p>
            <div class="flex justify-end mt-3"><button class="button" data-closes>Close</button></div>
        </dialog>
    @else
        <div class="flex items-baseline gap-4 mb-3"><h2>{{ $rubric->title }}</h2><span class="quiet">{{ $rubric->state->value }}@if ($rubric->latestVersion), version {{ $rubric->latestVersion->number }}@endif</span></div>
        @if ($draft->faults() === [])
            <x-rubric-view :rubric="YoungHarbor\Core\Rubric\Rubric::fromArray($draft->document)" />
        @else
            <p class="quiet">This working copy is not complete yet; its coordinator is still writing it.</p>
        @endif
    @endif
</x-page>

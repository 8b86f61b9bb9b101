<x-page :title="$module->fullTitle()" at="modules">
    <x-slot:head>
        <div class="heading">
            <h1>{{ $module->fullTitle() }}</h1><span class="of">{{ config('harbor.institution') }}</span>
            <span class="ml-auto flex flex-wrap gap-x-5">
                @can('addPeople', $module)<a href="{{ route('people.index', $module) }}">People</a>@endcan
                @can('viewGradeBook', $module)<a href="{{ route('grade-book.show', $module) }}">Grade book</a>@endcan
                @can('viewBoardSheet', $module)<a href="{{ route('board.show', $module) }}">Board sheet</a>@endcan
                @can('compareAssignments', $module)<a href="{{ route('alike.module', $module) }}">{{ __('alike.title') }}</a>@endcan
                @can('viewSheets', $module)<a href="{{ route('sheets.index', $module) }}">Reflections</a>@endcan
                @can('viewLogbook', $module)<a href="{{ route('logbook', $module) }}">Logbook</a>@endcan
            </span>
        </div>
    </x-slot:head>
    <div class="split">
        <div>
            <div class="flex items-baseline justify-between mb-2"><h2>Assignments</h2></div>
            @if ($assignments->isEmpty())
                <x-empty title="No assignment yet">
                    @can('coordinate', $module) Make a rubric ready first, then plan an assignment with it. @else
                    When one is open, it is listed here and on Today. @endcan</x-empty>
            @else
                <div class="sheet scroll"><table class="table stacked">
                    <thead><tr><th>Assignment</th><th>Due</th>@if ($counts !== [])<th>Handed in</th><th>Marked</th>
                    <th>Released</th>@endif</tr></thead>
                    <tbody>
                        @foreach ($assignments as $assignment)
                            <tr>
                                <td>@if (Gate::check($assignment->let_go_at === null ? 'view' : 'coordinate', $assignment))<a class="font-bold"
                                    href="{{ route($assignment->let_go_at === null ? 'assignments.show' : 'plan.edit',
                                    $assignment) }}">{{ $assignment->title }}</a>@else<b>{{ $assignment->title }}</b>@endif
                                    @if ($assignment->let_go_at !== null)<br><span class="quiet small">{{ __('keeping.let_go_short', [
                                        'at' => App\Wording\LocalTime::dayOf($assignment->let_go_at)]) }}</span>@endif
                                    @unless ($assignment->isPublished())<br><span
                                        class="signal small">not open to students yet</span>@endunless</td>
                                <td class="lg:whitespace-nowrap"
                                    data-label="Due">{{ App\Wording\LocalTime::shown($due[$assignment->id]
                                    ?? $assignment->due_at) }}</td>
                                @if ($counts !== [])
                                    @php($n = $counts[$assignment->id])
                                    <td data-label="Handed in">{{ $n->handedIn }} of {{ $n->expected }}</td>
                                    <td data-label="Marked">{{ $n->firstDone }} of {{ $n->handedIn }}</td>
                                    <td data-label="Released">{{ $n->released }} of {{ $n->handedIn }}</td>
                                @endif
                            </tr>
                        @endforeach
                    </tbody>
                </table></div>
            @endif
            @can('coordinate', $module)
                <div class="flex justify-end mt-3"><a class="button primary"
                    href="{{ route('plan.create', $module) }}">Plan an assignment</a></div>
            @endcan
        </div>
        <aside>
            @if ($notes->isNotEmpty())<section class="panel mb-5" id="notes"><h2 class="mb-1">{{ __('member-notes.own') }}</h2>
                @foreach ($notes as $note)<p class="whitespace-pre-line mt-2" dir="auto">{{ $note->body }}</p>
                    <p class="quiet small">{{ $note->author->name }}, {{ App\Wording\LocalTime::shown($note->created_at) }}</p>@endforeach</section>@endif
            @if ($decisions !== [])<section class="panel mb-5"><h2 class="mb-1">{{ __('copy.decide') }}</h2>
                <ul>@foreach ($decisions as ['what' => $what, 'link' => $link])<li class="py-1"><a href="{{ $link }}">{{
                    $what }}</a></li>@endforeach</ul></section>@endif
            @can('coordinate', $module)
                <h2 class="mb-2">Settings of the module</h2>
                <dl class="panel mb-5 settings">
                    <dt><a href="{{ route('bands.index', $module) }}">Grade bands</a></dt>
                    <dd>what marks are called, such as classes or letters</dd>
                    <dt><a href="{{ route('module-plan.edit', $module) }}">{{ __('module-mark.link') }}</a></dt>
                    <dd>weights, what must be passed, resits, borderline</dd>
                    <dt><a href="{{ route('closure-days.index', $module) }}">Closure days</a></dt>
                    <dd>days on which nothing is due and nothing counts as late</dd>
                    <dt><a href="{{ route('keeping.module', $module) }}">{{ __('keeping.periods.title') }}</a></dt>
                    <dd>{{ __('keeping.periods.link_what') }}</dd>
                    <dt><a href="{{ route('modules.copy', $module) }}">{{ __('copy.title') }}</a></dt>
                    <dd>{{ __('copy.why') }}</dd>
                    <dt><a href="{{ route('conflicts.index', $module) }}">Conflicts of interest</a></dt>
                    <dd>who does not mark whose work</dd>
                    <dt><a href="{{ route('archive.index', $module) }}">Archive</a></dt>
                    <dd>texts of earlier years that new work is compared with</dd>
                    <dt><a href="{{ route('baselines.index', $module) }}">Baselines</a></dt>
                    <dd>trusted texts that writing signals compare with</dd>
                </dl>
            @endcan
            @if ($role && $role !== App\Enums\Role::Student)
                <h2 class="mb-2">Rubrics</h2>
                <div class="panel mb-5">
                    @forelse ($rubrics as $rubric)
                        <p class="mb-1"><a href="{{ route('rubrics.show', $rubric) }}">{{ $rubric->title }}</a>
                        <span class="quiet small">{{ __(
                            'plan.rubric_state.'.$rubric->state->value) }}@if ($rubric->latestVersion), version {{ $rubric->latestVersion->number }}@endif</span>
                            </p>
                    @empty
                        <p class="quiet">None yet.</p>
                    @endforelse
                    @can('coordinate', $module)<p class="mt-3">
                        <a href="{{ route('rubrics.index',
                        ['for' => $module->public_id]) }}">The library, and a new rubric</a></p>@endcan
                </div>
            @endif
            <h2 class="mb-2">People</h2>
            <div class="panel">
                @foreach ($staff as $member)
                    <p class="mb-1">{{ $member->user->name }}
                    <span class="quiet small">{{ $member->role->label() }}</span></p>
                @endforeach
                <p class="quiet">{{ $students === 1 ? '1 student' : $students.' students' }}</p>
            </div>
        </aside>
    </div>
</x-page>

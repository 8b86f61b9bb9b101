@php
    use App\Wording\LocalTime;
    use App\Queries\Collect\Cohort;
    $counts += array_fill_keys(array_keys(Cohort::FILTERS), 0);
    $time = fn (?string $at) => $at === null ? null : Illuminate\Support\Carbon::parse($at, 'UTC');
    $past = $assignment->isPastDue();
    $talks = $assignment->isDiscussion();
    $when = Cohort::showsWhen($assignment);
    $out = $cohort->anyOut;
    $hidden = array_filter(['unread' => ! $out, 'result' => ! $out, 'left' => $counts['left'] === 0,
        'late' => ! $past && $counts['late'] === 0, 'late-own' => $counts['late'] === 0,
        'missing' => $counts['missing'] === 0, 'time' => $counts['time'] === 0, 'draft' => $counts['draft'] === 0]);
    $filters = array_filter(Cohort::filtersOf($assignment), fn ($key) => ! isset($hidden[$key]) || $cohort->filter === $key,
        ARRAY_FILTER_USE_KEY);
    $sorts = fn (string $key) => route('collect.index',
        [$assignment, ...$cohort->asked(['sort' => $cohort->sort === $key && ! $cohort->down ? "-{$key}" : $key])]);
    $order = fn (string $key) => $cohort->sort !== $key ? 'none' : ($cohort->down ? 'descending' : 'ascending');
@endphp
<x-page :title="'Collect: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Collect" /></x-slot:head>
    @if ($counts[''] + $counts['left'] === 0)
        <x-empty title="Nobody to collect from">@if ($assignment->isPublished()) There is no student in this module yet.
        <a href="{{ route('people.index', $assignment->module) }}">Add them under People</a> @else
        Students are listed here once the assignment is open to them. @endif</x-empty>
    @else
        @if ($beingRead > 0)<p class="notice mb-3">
            {{ $beingRead === 1 ? 'One hand-in is' : number_format($beingRead).' hand-ins are' }}
            still being read. {{ $beingRead === 1 ? 'It has' : 'They have' }}
            arrived, and {{ $beingRead === 1 ? 'is' : 'are' }}
            counted here; screening and sharing out follow by themselves.@if ($unreadSince)
            The oldest waits since {{ LocalTime::shown(
                $unreadSince) }}: tell whoever runs Young Harbor here that its worker may stand still.@endif</p>@endif
        @if ($unreadable->isNotEmpty())
            <details class="notice mb-3" @if ($unreadable->count() < 4) open @endif>
                <summary>{{ $unreadable->count() === 1 ? 'One student’s last attempt could not be read'
                : 'The last attempts of '.$unreadable->count().' students could not be read' }}
                and {{ $unreadable->count() === 1 ? 'does' : 'do' }} not count</summary>
                <ul class="mt-1">@foreach ($unreadable as $handin)
                <li>{{ $handin->script->student->name }}, attempt {{ $handin->attempt }}, arrived {{ LocalTime::shown(
                    $handin->received_at) }}{{ $handin->late ? ', late' : '' }}: {{ $handin->unreadable }}</li>
                    @endforeach</ul>
                <p class="quiet small mt-1">
                    Each was told by mail, with what to do. Lateness that follows from it can be waived on the student’s page.
                    </p></details>
        @endif
        @if ($talks)<p class="mb-3"><a class="button" href="{{ route('discussion.show',
            $assignment) }}">{{ __('discuss.go_staff') }}</a>
            <span class="quiet ml-2">{{ App\Wording\DiscussionWords::asked($assignment->discussion) }}</span></p>@endif
        @if ($assignment->isObserved())<p class="mb-3"><a class="button" href="{{ route('slots.index',
            $assignment) }}">{{ __('observe.go') }}</a> <span class="quiet ml-2">{{ __('observe.names') }}</span></p>@endif
        @if ($counts['in'] > 0 && $when)<div class="min-h-27 mb-4" hx-get="{{ route('collect.arrivals', $assignment) }}"
            hx-trigger="load"></div>@endif
        @if ($first !== null)<p class="quiet small mb-3">{{ trans_choice('first-feedback.counts', $first->asked) }}
            @if ($first->asked > 0){{ __('first-feedback.counts_more', ['students' => trans_choice('first-feedback.students',
                $first->students), 'used' => $first->used, 'remarks' => $first->remarks]) }}@endif
            @if ($first->shared > 0)<a href="{{ route('first-feedback.index',
                $assignment) }}">{{ trans_choice('first-feedback.shared', $first->shared) }}</a>@endif</p>@endif
        <nav class="chips mb-3" aria-label="Who is shown">
            @foreach ($filters as $key => [$name])
                <a href="{{ route('collect.index', [$assignment, ...$cohort->asked(['show' => $key])]) }}"
                    aria-current="{{ $cohort->filter === (string) $key ? 'true' : 'false' }}">{{ $name }}
                    {{ number_format($counts[$key]) }}</a>
            @endforeach
        </nav>
        <div class="flex flex-wrap items-center gap-x-6 gap-y-2 mb-3">
            <form class="flex gap-2" method="get" action="{{ route('collect.index', $assignment) }}" role="search">
                @foreach ($cohort->asked(['q' => null]) as $key => $value)<input type="hidden" name="{{ $key }}"
                    value="{{ $value }}">@endforeach
                <label class="sr-only" for="f-q">Find by name, number, section or group</label>
                <input class="input w-56!" id="f-q" type="search" name="q" value="{{ $cohort->search }}"
                    placeholder="name, number, section">
                <button class="button">Find</button>
            </form>
            @if ($assignment->handin_by->isGroup())
                <span class="chips"><a href="{{ route('collect.index',
                    [$assignment, ...$cohort->asked(['by' => null, 'sort' => null])]) }}"
                    aria-current="{{ $cohort->byGroup ? 'true'
                    : 'false' }}">by group</a><a href="{{ route('collect.index',
                    [$assignment, ...$cohort->asked(['by' => 'person', 'sort' => null])]) }}"
                    aria-current="{{ $cohort->byGroup ? 'false' : 'true' }}">by person</a></span>
                <a href="{{ route('groups.index', $assignment) }}">The groups</a>
            @endif
            <span class="flex flex-wrap gap-x-5 ml-auto">
                <a href="{{ route('collect.csv', [$assignment, ...$cohort->asked()]) }}">These as CSV</a>
                @if ($counts['in'] > 0)<a href="{{ route('collect.zip',
                    $assignment) }}">All work as a ZIP, by script code</a>@endif
            </span>
            @if ($rows->total() > 0)<a class="button primary"
                href="{{ route('messages.create',
                [$assignment, ...$cohort->asked()]) }}">Write to {{ $rows->total() === 1
                ? ($cohort->byGroup ? 'this group' : 'this one')
                : 'these '.number_format($rows->total()).($cohort->byGroup ? ' groups' : '') }}</a>@endif
        </div>
        <div class="sheet scroll"><table class="table stacked">
            <thead><tr>
                <th aria-sort="{{ $order('name') }}">
                    <a href="{{ $sorts('name') }}">{{ $cohort->byGroup ? 'Members' : 'Student' }}</a></th>
                @if ($cohort->byGroup)<th aria-sort="{{ $order('group') }}">
                    <a href="{{ $sorts('group') }}">Group</a></th>
                    @else<th aria-sort="{{ $order('section') }}">
                        <a href="{{ $sorts('section') }}">Section</a></th>@endif
                @if ($when)<th aria-sort="{{ $order('brief') }}"><a href="{{ $sorts('brief') }}">Brief opened</a></th>
                @else<th>Brief opened</th>@endif
                <th>{{ $talks ? __('discuss.wrote') : 'Draft' }}</th>
                <th aria-sort="{{ $order('due') }}"><a href="{{ $sorts('due') }}">Due</a></th>
                @if ($when)<th aria-sort="{{ $order('in') }}"><a href="{{ $sorts('in') }}">{{ $talks ? __('discuss.first_post')
                    : 'Handed in' }}</a></th>@else<th>{{ __('discuss.asked_for') }}</th>@endif<th></th>
                @if ($out)<th>Result</th>@endif
            </tr></thead>
            <tbody>
                @forelse ($rows as $row)
                    <tr>
                        <td>@if ($row->member)<a class="font-bold"
                            href="{{ route('members.show',
                            $row->member) }}">{{ $row->name }}</a>@else{{ $row->name }}@endif
                            @if (! $cohort->byGroup && $row->number)<span
                                class="quiet small whitespace-nowrap">{{ $row->number }}</span>@endif</td>
                        <td class="lg:whitespace-nowrap"
                            data-label="{{ $cohort->byGroup ? 'Group' : 'Section' }}">
                            {{ $cohort->byGroup ? $row->group_name ?? 'in no group'
                            : $row->section }}@if (! $cohort->byGroup && $row->group_name)
                            <span class="quiet small">{{ $row->group_name }}</span>@endif</td>
                        <td class="lg:whitespace-nowrap"
                            data-label="Brief opened">
                            @if ($row->brief_opened_at){{ $when ? LocalTime::shown(
                            $time($row->brief_opened_at)) : 'yes' }}@elseif (! $row->received_at)<span
                            class="quiet">not yet</span>@else–@endif</td>
                        @if ($talks)<td data-label="{{ __('discuss.wrote') }}">{{ $row->first_at === null ? '' : implode(', ', array_filter([
                            (int) $row->posts > 0 ? __('discuss.has_posted') : '', (int) $row->replies > 0 ? __('discuss.has_replied')
                            : '', (int) $row->posts + (int) $row->replies === 0 ? __('discuss.has_written') : ''])) }}</td>
                        @else
                        <td data-label="Draft">{{ (int) $row->drafts > 0
                            ? ((int) $row->drafts === 1 ? 'checked' : "{$row->drafts} checked")
                            : '' }}@if ($row->template_taken_at)
                            <span class="quiet small">template taken</span>@endif</td>
                        @endif
                        <td class="lg:whitespace-nowrap"
                            data-label="Due">@if ($row->more_time)<b>{{ LocalTime::shown($time($row->due_at)) }}</b>
                            <span class="quiet small">more time</span>@else<span class="quiet">{{ $row->due_at
                                ? LocalTime::shown($time($row->due_at)) : '' }}</span>@endif</td>
                        @if ($talks && ! $when)<td data-label="{{ __('discuss.asked_for') }}">{{ $row->first_at === null ? ''
                            : __($row->below ? 'discuss.is_below' : 'discuss.is_enough') }}</td><td>@if ($row->late)<span
                            class="signal">late</span>@elseif ($row->first_at === null && $row->due_at && $time($row->due_at)
                            ->isPast())<span class="signal">{{ __('discuss.wrote_nothing') }}</span>@endif</td>
                        @else
                        <td class="lg:whitespace-nowrap"
                            data-label="Handed in">@if ($row->received_at){{ LocalTime::shown(
                            $time($row->received_at)) }}@if ((int) $row->attempt > 1)
                            <span class="quiet small">attempt {{ $row->attempt }}</span>@endif
                            @else<span class="quiet">not yet</span>@endif</td>
                        <td>@if ($row->left_at)<span class="quiet">left</span>@elseif ($row->late
                            && $row->waived_at)late, waived
                            @elseif ($row->late)<span class="signal">late</span>@elseif (! $row->received_at
                                && $row->due_at && $time($row->due_at)
                                ->isPast())<span class="signal">missing</span>@endif</td>
                        @endif
                        @if ($out)<td data-label="Result">
                            @if ($row->first_opened_at)opened {{ LocalTime::shown(
                            $time($row->first_opened_at)) }}@if ((int) $row->seconds_open > 0)
                            <span class="quiet small">read {{ (int) $row->seconds_open < 90
                                ? (int) $row->seconds_open.' s' : round($row->seconds_open / 60).' min' }}</span>@endif
                                @elseif ($row->result_id)<span class="signal">not opened</span>@endif</td>@endif
                    </tr>
                @empty
                    <tr><td colspan="8" class="quiet">Nobody in this list.
                    <a href="{{ route('collect.index', $assignment) }}">Show everyone</a></td></tr>
                @endforelse
            </tbody>
        </table></div>
        <x-pages :pages="$rows" />
        <p class="quiet small mt-3">
            Names stand here without script codes, and elsewhere codes stand without names, until you reveal them at release. Who is marked, and length and kind of a file, are left out here, since they would lead from one to the other.
            </p>
    @endif
</x-page>

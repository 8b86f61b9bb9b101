@php
    use App\Queries\Release\GradeBookFilter;
    $revealed = $assignments->every(fn ($one) => $one->namesRevealed());
    $chosen = $assignments->firstWhere('public_id', $filter->in);
    $at = fn (array $query) => route('grade-book.show', [$module, ...$query]);
    $sign = fn (string $sort, string $in = '') => $filter->sort === $sort && ($sort !== 'mark' || $filter->in === $in)
        ? ($filter->isDescending ? ' ▾' : ' ▴') : '';
    $aria = fn (string $sort, string $in = '') => $sign($sort, $in) === '' ? 'none'
        : ($filter->isDescending ? 'descending' : 'ascending');
@endphp
<x-page :title="'Grade book: '.$module->code" at="grade-book">
    <x-slot:head><div class="heading">
        <h1>Grade book</h1><a class="of" href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a>
        <span class="ml-auto flex flex-wrap gap-x-5">
            <a href="{{ route('module-plan.edit', $module) }}">{{ __('module-mark.link') }}</a>
            <a href="{{ route('board.show', $module) }}">Board sheet</a>
            <a href="{{ route('grade-book.take', $module) }}">Download</a></span></div></x-slot:head>
    @if ($assignments->isEmpty())
        <x-empty title="Nothing in the grade book yet">
            Students and open assignments appear here; marks once they are released.</x-empty>
    @else
        @include('release.grade-book-strip')
        <form class="flex flex-wrap items-end gap-x-4 gap-y-2 mb-3" method="get"
            action="{{ route('grade-book.show', $module) }}">
            @foreach (['sort' => $filter->sort === 'name' ? '' : $filter->sort,
                'way' => $filter->isDescending ? 'down' : ''] as $key => $value)
                @if ($value !== '')<input type="hidden" name="{{ $key }}" value="{{ $value }}">@endif @endforeach
            @if ($sections !== [])<label class="small">Section<br><select class="input" name="section" data-submits>
                <option value="">all</option>@foreach ($sections as $one)<option @selected($filter->section === $one)>{{
                $one }}</option>@endforeach</select></label>@endif
            <label class="small">About<br><select class="input" name="in" data-submits>
                <option value="">{{ $hasMarks ? 'any assignment, the module mark' : 'any assignment' }}</option>
                @foreach ($assignments as $one)<option value="{{ $one->public_id }}"
                @selected($filter->in === $one->public_id)>{{ $one->title }}</option>@endforeach</select></label>
            <label class="small">State<br><select class="input" name="state" data-submits><option value="">any</option>
                @foreach (GradeBookFilter::STATES as $one)<option value="{{ $one }}"
                    @selected($filter->state === $one)>{{
                __("grade-book.state.{$one}") }}</option>@endforeach</select></label>
            @if ($chosen || $hasMarks)<label class="small">Band<br><select class="input" name="band" data-submits>
                <option value="">any</option>@foreach ($bands as $one)<option @selected($filter->band === $one)>{{
                $one }}</option>@endforeach</select></label>@endif
            <label class="flex gap-2 py-2"><input type="checkbox" name="needs" value="me" @checked($filter->needsMe)>
                {{ __('grade-book.needs_me') }}</label>
            <button class="button">Show</button>
            <span class="quiet small ml-auto"
                role="status">{{ trans_choice('grade-book.found', $found, ['count' => $found]) }}@if (!
                $filter->isAll()) · <a href="{{ route('grade-book.show', $module) }}">all</a>@endif</span></form>
        @if ($rows === [])<x-empty title="Nobody">
            {{ __($filter->isAll() ? 'grade-book.no_students' : 'grade-book.nobody') }}</x-empty>
        @else
        <div class="sheet scroll grade-book" tabindex="0" role="region" aria-label="Grade book, {{ $module->code }}">
            <table class="table">
            <thead><tr>
                <th aria-sort="{{ $aria('name') }}">
                    <a href="{{ $at($filter->sortedBy('name', '')) }}">Student{{ $sign('name') }}</a></th>
                <th class="max-sm:hidden" aria-sort="{{ $aria('number') }}">
                    <a href="{{ $at($filter->sortedBy('number', '')) }}">Number{{ $sign('number') }}</a></th>
                <th class="max-sm:hidden" aria-sort="{{ $aria('section') }}">
                    <a href="{{ $at($filter->sortedBy('section', '')) }}">Section{{ $sign('section') }}</a></th>
                @if ($hasMarks)<th class="num" aria-sort="{{ $aria('mark') }}"><a
                    href="{{ $at($filter->sortedBy('mark', '')) }}">Module mark{{ $sign('mark') }}</a></th>@endif
                @foreach ($assignments as $one)<th aria-sort="{{ $aria('mark', $one->public_id) }}"><a
                    href="{{ $at($filter->sortedBy('mark', $one->public_id)) }}">{{ $one->title }}{{
                    $sign('mark', $one->public_id) }}</a></th>@endforeach</tr></thead>
            <tbody>@foreach ($rows as ['member' => $member, 'cells' => $cells])
                <tr><th scope="row"><a href="{{ route('members.show',
                    $member) }}">{{ $member->user->name }}</a>@if ($member->left_at)
                    <span class="quiet small font-normal">left</span>@endif</th>
                    <td class="max-sm:hidden">{{ $member->user->number }}</td>
                    <td class="max-sm:hidden">{{ $member->section }}</td>
                    @if ($hasMarks)<td class="num whitespace-nowrap">
                        @include('release.module-mark-cell', ['of' => $member->moduleMark])</td>@endif
                    @foreach ($assignments as $one)<td class="whitespace-nowrap">@include('release.grade-book-cell', [
                        'cell' => $cells[$one->id], 'assignment' => $one])</td>@endforeach</tr>
            @endforeach</tbody></table></div>
        @if ($pages > 1)<nav class="flex gap-4 mt-2" aria-label="Pages">
            @if ($filter->page > 1)<a rel="prev"
                href="{{ $at($filter->query(['page' => $filter->page - 1])) }}">‹ previous</a>@endif
            <span class="quiet">page {{ min($filter->page, $pages) }} of {{ $pages }}</span>
            @if ($filter->page < $pages)<a rel="next"
                href="{{ $at($filter->query(['page' => $filter->page + 1])) }}">next ›</a>@endif</nav>@endif
        @endif
        <p class="quiet small mt-3 max-w-[46rem]">{{ __($revealed ? 'grade-book.foot_revealed' : 'grade-book.foot') }}
            {{ $hasMarks ? __('module-mark.only_released') : '' }}</p>
        <details class="fold mt-4" hx-get="{{ route('grade-book.lie', $module) }}" hx-trigger="toggle once"
            hx-target="find .lie"><summary><b>{{ __('grade-book.lie') }}</b>
            <span class="quiet">{{ __('grade-book.lie_of') }}</span></summary>
            <div class="lie"><p class="quiet">Being worked out …</p></div></details>
    @endif
</x-page>

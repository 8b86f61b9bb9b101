@php
    use App\Wording\LocalTime;
    $incomplete = count(array_filter($sheet['rows'], fn ($row) => ! $row['complete']));
    $borderline = array_values(
        array_filter($sheet['rows'], fn ($row) => $row['just_below'] !== null && $row['complete']));
    $most = max(1, ...array_values($sheet['bands'] ?: [1]));
    $file = fn (string $form) => $kept ? route('boards.take', [$kept, $form]) : route('board.take', [$module, $form]);
@endphp
<x-page :title="__('board.title').': '.$module->code" at="grade-book">
    <x-slot:head><div class="heading">
        <h1>{{ __('board.title') }}</h1><span class="of">{{ $module->fullTitle() }}@if ($kept), {{
        lcfirst(__('board.as_of')) }}, {{ LocalTime::shown($kept->created_at) }}@endif</span>
        <span class="ml-auto flex flex-wrap gap-x-5 no-print">
            @if ($kept)<a href="{{ route('board.show', $module) }}">as it is now</a>@endif
            @can('viewGradeBook', $module)<a href="{{ route('grade-book.show', $module) }}">Grade book</a>@endcan
            @if ($sheet['parts'] !== [])<a href="{{ $file('pdf') }}">PDF</a><a href="{{ $file(
                'csv') }}">CSV</a>@endif</span></div></x-slot:head>
    @if ($sheet['parts'] === [])
        <x-empty :title="__('board.no_plan')">
            @can('coordinate', $module)<a href="{{ route('module-plan.edit', $module) }}">{{
            __('module-mark.link') }}</a>@else A coordinator says what its parts weigh. @endcan</x-empty>
    @else
    <div class="split">
        <div class="min-w-0">
            <p class="quiet small mb-2">{{ __('board.names') }} {{ __('module-mark.only_released') }}</p>
            @if ($sheet['rows'] === [])<x-empty :title="__('board.empty')">{{ __('board.empty_why') }}</x-empty>
            @else<div class="sheet scroll grade-book mb-5" tabindex="0" role="region"
                aria-label="{{ __('board.title') }}">
                @include('release.board-table', ['rows' => $sheet['rows']])</div>@endif
            <h2 class="mb-1">{{ __('board.borderline') }}</h2>
            @if ($borderline === [])<p class="quiet mb-5">{{ __('board.none_borderline') }}</p>
            @else<ul class="mb-5">@foreach ($borderline as $row)
            <li class="py-1"><span class="code">{{ $row['candidate'] }}</span>
                <b>{{ $row['mark'] }}</b> {{ __('module-mark.borderline', ['boundary' => $row['just_below']]) }}</li>
                @endforeach</ul>@endif
        </div>
        <aside>
            <section class="panel mb-4"><h2 class="mb-1">{{ __('board.rules') }}</h2>
                @foreach ($sheet['rules'] as $rule)<p class="small mb-1">{{ $rule }}</p>@endforeach</section>
            <section class="panel mb-4"><h2 class="mb-1">{{ __('board.bands') }}</h2>
            <p class="quiet small mb-1">{{ __('board.bands_of') }}</p>
                <table class="w-full"><tbody>@foreach (array_reverse($sheet['bands']) as $band => $count)<tr>
                    <th scope="row"
                    class="text-left font-normal pr-3">{{ $band }}</th><td class="num pr-2">{{ $count }}</td>
                    <td><svg width="90" height="10"
                    class="block" aria-hidden="true">
                        <rect class="bar-part" y="1" height="8" width="{{ round(90 * $count / $most, 1) }}" /></svg>
                        </td></tr>
                @endforeach</tbody></table></section>
            @if (! $kept) @can('coordinate', $module)
                @if ($sheet['without'] > 0)<form class="panel mb-4 no-print" method="post"
                    action="{{ route('board.draw', $module) }}">@csrf
                    <h2 class="mb-1">{{ trans_choice('board.without', $sheet['without'],
                        ['count' => $sheet['without']]) }}</h2>
                    <p class="quiet small mb-2">{{ __('board.draw_why') }}</p>
                    <div class="flex justify-end"><button class="button">{{ __('board.draw') }}</button></div></form>
                @elseif ($sheet['rows'] !== [])<form class="panel mb-4 no-print" method="post"
                    action="{{ route('board.confirm', $module) }}">@csrf
                    <h2 class="mb-1">{{ __('board.confirm') }}</h2>
                    @if ($incomplete > 0)<p class="signal small mb-2">
                        {{ trans_choice('board.incomplete', $incomplete, ['count' => $incomplete]) }}</p>@endif
                    <p class="quiet small mb-2">
                        {{ trans_choice('board.confirm_why', $sheet['provisional'],
                        ['count' => $sheet['provisional']]) }}</p>
                    <input type="hidden" name="seen" value="{{ $sheet['digest'] }}">
                    <x-field name="note" label="A note, such as the day of the board" maxlength="500" />
                    <label class="flex gap-2 mb-3"><input type="checkbox" name="sure" value="1">
                    {{ __('board.sure') }}</label>
                    @error('sure')<p class="error">{{ $message }}</p>@enderror
                    <div class="flex justify-end">
                        <button class="button primary">Confirm</button></div></form>@endif @endcan @endif
            @if ($earlier->isNotEmpty())<section class="panel mb-4"><h2 class="mb-1">{{ __('board.earlier') }}</h2>
                @foreach ($earlier as $one)<p class="py-1">
                    <a href="{{ route('boards.show', $one) }}">{{ LocalTime::shown($one->created_at) }}</a>
                    <span class="quiet small">{{ $one->confirmer->name }}{{ $one->note === '' ? ''
                        : ", {$one->note}" }}; {{
                    __($one->digest === $sheet['digest'] ? 'board.same' : 'board.changed') }}</span></p>@endforeach
                    </section>@endif
            @if ($kept && $kept->note !== '')<section class="panel mb-4"><p>{{ $kept->note }}</p></section>@endif
        </aside>
    </div>
    @endif
</x-page>

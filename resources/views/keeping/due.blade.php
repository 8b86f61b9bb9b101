{{-- What is due, decided, to come and gone. Takes $things, $gone, $action and $everywhere. --}}
@use('App\Wording\LocalTime')
@use('App\Wording\Months')
@php
    $waiting = array_filter($things, fn ($one) => $one->waits());
    $decided = array_filter($things, fn ($one) => $one->isConfirmed() || $one->isKept());
    $held = array_filter($things, fn ($one) => $one->due->isPast() && $one->free() === 0 && ! $one->isConfirmed());
    $coming = array_filter($things, fn ($one) => $one->due->isFuture());
    $of = fn ($one) => $one->assignment === null ? config('harbor.institution')
        : ($everywhere ? "{$one->assignment->module->code} {$one->assignment->title}" : $one->assignment->title);
@endphp
<h2 class="mb-1">{{ __('keeping.due.title') }}</h2>
@error('things')<p class="error mb-2">{{ $message }}</p>@enderror
@if ($waiting === [])<p class="quiet mb-5">{{ __('keeping.due.none') }}</p>
@else
    <p class="hint mb-2">{{ __('keeping.due.what') }}</p>
    <form class="mb-6" method="post" action="{{ $action }}">@csrf
        <div class="sheet scroll mb-3"><table class="table stacked">
            <thead><tr><th><input type="checkbox" data-chooses-all="things[]" hidden
                aria-label="{{ __('keeping.due.all') }}"></th><th>{{ __('keeping.due.thing') }}</th><th>{{ __('keeping.due.since') }}</th>
                <th>{{ __('keeping.due.there') }}</th></tr></thead>
            <tbody>
                @foreach ($waiting as $one)
                    <tr><td class="align-top"><input type="checkbox" name="things[]" value="{{ $one->key() }}" id="t-{{ $loop->index }}"
                            @checked(in_array($one->key(), (array) old('things', []), true))></td>
                        <td class="align-top"><label for="t-{{ $loop->index }}"><b>{{
                            __("keeping.periods.kinds.{$one->kind->value}.0") }}</b>, {{ $of($one) }}</label></td>
                        <td class="align-top" data-label="{{ __('keeping.due.since') }}">{{ $one->over === null
                            ? __('keeping.due.older', ['months' => Months::shown($one->months)])
                            : __('keeping.due.from', ['due' => LocalTime::dayOf($one->due), 'months' => Months::shown($one->months), 'over' => LocalTime::dayOf($one->over)]) }}
                            @if ($one->assignment !== null && $one->assignment->results_out_at === null)<br><b>{{ __('keeping.due.not_out') }}</b>@endif</td>
                        <td class="align-top lg:whitespace-nowrap" data-label="{{ __('keeping.due.there') }}">{{ trans_choice($one->assignment === null
                            ? "keeping.due.entries.{$one->kind->value}" : 'keeping.due.scripts', $one->free(), ['count' => number_format($one->free())]) }}
                            @if ($one->held > 0)<br><span class="quiet small">{{ trans_choice('keeping.due.held', $one->held, ['count' => $one->held]) }}</span>@endif</td></tr>
                @endforeach
            </tbody>
        </table></div>
        <div class="flex flex-wrap items-end justify-end gap-x-4 gap-y-3">
            <div class="field mb-0!"><label class="label" for="f-until">{{ __('keeping.due.until') }}</label><input
                class="input w-44!" id="f-until" type="date" name="until" value="{{ old('until') }}" @error('until')
                aria-invalid="true" @enderror></div>
            <div class="field mb-0! grow max-w-md"><label class="label" for="f-longer">{{ __('keeping.due.reason') }}</label><input
                class="input" id="f-longer" name="reason" maxlength="500"
                value="{{ old('do') === 'longer' ? old('reason') : '' }}"></div>
            <button class="button" name="do" value="longer">{{ __('keeping.due.keep') }}</button>
            <button class="button primary" name="do" value="go">{{ __('keeping.due.go') }}</button>
        </div>
        @error('until')<p class="error text-right">{{ $message }}</p>@enderror
        @if (old('do') === 'longer')@error('reason')<p class="error text-right">{{ $message }}</p>@enderror @endif
    </form>
@endif
@if ($decided !== [])
    <h2 class="mb-1">{{ __('keeping.due.decided') }}</h2>
    <div class="sheet scroll mb-6"><table class="table stacked"><tbody>
        @foreach ($decided as $one)
            <tr><td><b>{{ __("keeping.periods.kinds.{$one->kind->value}.0") }}</b>, {{ $of($one) }}</td>
                <td>{{ $one->isConfirmed() ? __('keeping.due.goes', ['at' => LocalTime::shown($one->decision->goes_at), 'who' => $one->decision->by->name])
                    : __('keeping.due.stays', ['until' => LocalTime::day($one->decision->keep_until), 'who' => $one->decision->by->name, 'reason' => $one->decision->reason]) }}</td>
                <td class="text-right"><form method="post" action="{{ route('keeping.take-back', $one->decision) }}">@csrf
                    @method('delete')<button class="link">{{ __($one->isConfirmed() ? 'keeping.due.take_back' : 'keeping.due.end') }}</button></form></td></tr>
        @endforeach
    </tbody></table></div>
@endif
@if ($held !== [])
    <h2 class="mb-1">{{ __('keeping.due.held_title') }}</h2>
    <p class="hint mb-2">{{ __('keeping.due.held_what') }}</p>
    <div class="sheet scroll mb-6"><table class="table stacked"><tbody>
        @foreach ($held as $one)<tr><td><b>{{ __("keeping.periods.kinds.{$one->kind->value}.0") }}</b>, {{ $of($one) }}</td>
            <td>{{ trans_choice('keeping.due.held', $one->held, ['count' => $one->held]) }}</td></tr>@endforeach
    </tbody></table></div>
@endif
@if ($coming !== [])
    <details class="mb-6"><summary class="font-bold mb-1">{{ __('keeping.due.coming') }}
        <span class="quiet">{{ count($coming) }}</span></summary>
    <div class="sheet scroll"><table class="table stacked"><tbody>
        @foreach ($coming as $one)<tr><td><b>{{ __("keeping.periods.kinds.{$one->kind->value}.0") }}</b>, {{ $of($one) }}</td>
            <td>{{ __('keeping.due.on', ['due' => LocalTime::dayOf($one->due), 'months' => Months::shown($one->months), 'over' => LocalTime::dayOf($one->over)]) }}</td>
            <td class="lg:whitespace-nowrap">{{ trans_choice('keeping.due.scripts', $one->count, ['count' => number_format($one->count)]) }}</td></tr>@endforeach
    </tbody></table></div></details>
@endif
@if ($gone->isNotEmpty())
    <h2 class="mb-1">{{ __('keeping.due.gone') }}</h2>
    <div class="sheet scroll mb-6"><table class="table stacked"><tbody>
        @foreach ($gone as $one)
            <tr><td><b>{{ __("keeping.periods.kinds.{$one->kind->value}.0") }}</b>, {{ $of($one) }}</td>
                <td>{{ __('keeping.due.went', ['at' => LocalTime::dayOf($one->gone_at), 'who' => $one->by->name]) }}</td>
                <td>{{ collect($one->counts ?? [])->map(fn ($n, $what) => trans_choice("keeping.due.counts.{$what}", (int) $n, ['count' => is_int($n) ? number_format($n) : $n]))->implode(', ')
                    ?: __('keeping.due.nothing') }}</td></tr>
        @endforeach
    </tbody></table></div>
@endif

{{-- Of the institution or of a module. Takes $kinds, $periods, $action, $institution (null in itself). --}}
@use('App\Wording\Months')
<form class="panel mb-4" method="post" action="{{ $action }}" id="periods">@csrf @method('put')
    <h2 class="mb-1">{{ __($institution === null ? 'keeping.periods.form' : 'keeping.periods.form_module') }}</h2>
    <p class="hint mb-3">{{ __($institution === null ? 'keeping.periods.form_what' : 'keeping.periods.form_module_what') }}</p>
    @error('months')<p class="error mb-2">{{ $message }}</p>@enderror
    @foreach ($kinds as $kind)
        @php($at = "months.{$kind->value}")
        <div class="flex items-start gap-3 py-2 border-t border-line">
            <label class="grow" for="f-{{ $kind->value }}"><b>{{ __("keeping.periods.kinds.{$kind->value}.0") }}</b><br>
                <span class="quiet small">{{ __("keeping.periods.kinds.{$kind->value}.1") }}</span></label>
            <span class="w-32 shrink-0 text-right"><span class="whitespace-nowrap"><input class="input w-16! num" id="f-{{ $kind->value }}"
                name="months[{{ $kind->value }}]" type="number" min="1" max="600" inputmode="numeric"
                value="{{ old($at, $periods->months($kind)) }}" @error($at) aria-invalid="true" @enderror
                aria-describedby="d-{{ $kind->value }}"> {{ __('keeping.periods.unit') }}</span><span class="quiet small block" id="d-{{ $kind->value }}">
                @if ($institution !== null){{ $institution->months($kind) === null ? __('keeping.periods.else_none')
                    : __('keeping.periods.else', ['months' => Months::shown($institution->months($kind))]) }}@endif</span></span>
        </div>
        @error($at)<p class="error">{{ $message }}</p>@enderror
    @endforeach
    <div class="mt-3"><x-field name="reason" :label="__('keeping.periods.reason')" maxlength="500" required
        :hint="__('keeping.periods.reason_hint')" /></div>
    <div class="flex justify-end"><button class="button">{{ __('keeping.periods.save') }}</button></div>
</form>

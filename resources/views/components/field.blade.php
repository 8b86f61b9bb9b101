@props(['name', 'label', 'hint' => null, 'type' => 'text', 'value' => null, 'rows' => null, 'locked' => null])
@php
    $shown = old($name, $value);
    $shown = is_array($shown) ? '' : $shown; // a sender may have sent several where one is asked for
@endphp
<div class="field">
    <label class="label" for="f-{{ $name }}">{{ $label }}</label>
    @if ($rows)
        <textarea class="input" id="f-{{ $name }}" name="{{ $name }}" rows="{{ $rows }}" @if ($locked) readonly @endif
            @error($name) aria-invalid="true" @enderror aria-describedby="d-{{ $name }}"
            {{ $attributes }}>{{ $shown }}</textarea>
    @else
        <input class="input" id="f-{{ $name }}" name="{{ $name }}" type="{{ $type }}" @if ($locked) readonly @endif
            @if ($type !== 'password') value="{{ $shown }}" @endif @error($name) aria-invalid="true"
            @enderror aria-describedby="d-{{ $name }}" {{ $attributes }}>
    @endif
    <div id="d-{{ $name }}">
        @error($name)<p class="error">{{ $message }}</p>@enderror
        @if ($locked)<p class="hint">{{ $locked }}</p>
        @elseif ($hint)<p class="hint">{{ $hint }}</p>@endif
    </div>
</div>

@props(['name', 'label', 'options', 'value' => null, 'hint' => null, 'locked' => null])
@php
    $chosen = $locked ? $value : old($name, $value);
    $chosen = is_array($chosen) ? '' : (string) $chosen;
@endphp
<div class="field">
    <label class="label" for="f-{{ $name }}">{{ $label }}</label>
    @if ($locked)<input type="hidden" name="{{ $name }}" value="{{ $value }}">@endif
    <select class="input" id="f-{{ $name }}" @if ($locked) disabled @else name="{{ $name }}" @endif @error($name)
        aria-invalid="true" @enderror {{ $attributes }}>
        @foreach ($options as $key => $text)
            <option value="{{ $key }}"
                @selected($chosen === (string) $key)>{{ $text }}</option>
        @endforeach
    </select>
    @error($name)<p class="error">{{ $message }}</p>@enderror
    @if ($locked)<p class="hint">{{ $locked }}</p>
    @elseif ($hint)<p class="hint">{{ $hint }}</p>@endif
</div>

@props(['name', 'label', 'options', 'value' => null, 'hint' => null])
<div class="field">
    <label class="label" for="f-{{ $name }}">{{ $label }}</label>
    <select class="input" id="f-{{ $name }}" name="{{ $name }}" @error($name) aria-invalid="true" @enderror {{ $attributes }}>
        @foreach ($options as $key => $text)
            <option value="{{ $key }}" @selected((string) old($name, $value) === (string) $key)>{{ $text }}</option>
        @endforeach
    </select>
    @error($name)<p class="error">{{ $message }}</p>@enderror
    @if ($hint)<p class="hint">{{ $hint }}</p>@endif
</div>

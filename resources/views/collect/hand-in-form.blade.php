@php
    $most = $assignment->max_megabytes;
    $many = $assignment->max_files > 1;
@endphp
<form id="hand-in" class="panel" method="post" enctype="multipart/form-data"
    action="{{ route('hand-in.store', $assignment) }}" data-upload="{{ $most * 1048576 }}"
    data-pieces="{{ route('uploads.store', $assignment) }}">
    @csrf
    <input type="hidden" name="once" value="{{ Str::uuid() }}">
    <h2 class="mb-2">{{ $current ? 'Hand in again' : 'Hand in' }}</h2>
    @if ($current && $pastDue)
        <p class="signal mb-2">The due time has passed. A new attempt is kept, and counts only if you pick it afterwards{{ $current->late
            ? '' : '; the one above was in time' }}.</p>
    @elseif ($current)
        <p class="hint mb-2">Until the due time a new one takes the place of the one above; every attempt is kept.</p>
    @elseif ($pastDue)
        <p class="signal mb-2">The due time has passed; this will be marked as late.</p>
    @endif
    <div class="field">
        <label class="label" for="f-file">{{ $many ? 'Up to '.$assignment->max_files.' files' : 'A file' }}</label>
        <input class="input" id="f-file" type="file" name="{{ $many ? 'files[]' : 'file' }}" @if ($many) multiple
            data-most="{{ $assignment->max_files }}" @endif
            accept="{{ collect($assignment->fileKinds())->map(fn ($kind) => '.'.$kind->value)->implode(',') }}"
            aria-describedby="d-file">
        <div id="d-file">
            @error('file')<p class="error">{{ $message }}</p>@enderror
            @error('files.*')<p class="error">{{ $message }}</p>@enderror
            <p class="hint">{{ collect($assignment->fileKinds())->map(fn ($kind) => '.'.$kind->value)
                ->implode(', ') }}, up to {{ $most }}
                MB{{ $many ? ' each' : '' }}. A lost connection loses nothing: it goes on where it stopped.</p>
        </div>
    </div>
    @if ($assignment->takesLinks())<x-field name="link" label="or a link" type="url" inputmode="url"
        placeholder="https://" hint="It must open for whoever has it, and stay as it is until your result is out." />@endif
    @if ($assignment->takesTyped())
        <div class="field">
            <label class="label" for="f-typed_text">or type your text</label>
            <textarea class="input" id="f-typed_text" name="typed_text" rows="{{ $typed === null ? 5 : 14 }}"
                data-keeps="{{ route('typed.update', $assignment) }}" data-seen="{{ $typed->lock_version ?? 0 }}"
                aria-describedby="d-typed">{{ $typed->text ?? '' }}</textarea>
            <p class="hint" id="d-typed" data-kept
                role="status">{{ $typed === null ? 'Kept as you type, for you alone.'
                : 'Kept '.App\Wording\LocalTime::shown($typed->updated_at).'; not handed in.' }}</p>
        </div>
    @endif
    @if ($assignment->declaration)
        <fieldset class="mt-4 mb-3"><legend class="font-bold mb-1">You declare</legend>
            @foreach ($assignment->declaration as $field)
                @php($at = 'declare.'.$field['id'])
                @if ($field['kind'] === YoungHarbor\Core\Collect\Declaration::CONFIRM)
                    <label class="flex items-start gap-2 mb-2"><input class="mt-1" type="checkbox"
                        name="declare[{{ $field['id'] }}]" value="1" @checked(old($at)) @required($field['required'])>
                        <span>{{ $field['label'] }}</span></label>
                @else
                    <label class="label mt-2"
                        for="f-declare-{{ $field['id'] }}">{{ $field['label'] }}@unless ($field['required'])
                        <span class="quiet font-normal">may be left out</span>@endunless</label>
                    <textarea class="input" id="f-declare-{{ $field['id'] }}" name="declare[{{ $field['id'] }}]"
                        rows="2" @required($field['required'])>{{ old($at) }}</textarea>
                @endif
                @error($at)<p class="error">{{ $message }}</p>@enderror
            @endforeach
        </fieldset>
    @endif
    <progress class="w-full" hidden max="1" value="0" aria-label="Sent so far"></progress>
    <p class="hint" data-progress role="status"></p>
    <div class="flex justify-end mt-2"><button class="button primary" type="submit">Hand in</button></div>
</form>

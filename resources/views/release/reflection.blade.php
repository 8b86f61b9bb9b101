@php
    use App\Wording\LocalTime;
    $asked = $assignment->release->reflection;
    $written = array_column($reflection->answers ?? [], 'text', 'prompt');
@endphp
@if ($asked->isAskedFor())
    @php $until = $result->reflectionUntil(); @endphp
    <section class="panel mt-4 no-print" id="reflection"><h2 class="mb-1">{{ __('release.reflection') }}</h2>
        @if ($until->isFuture())
            <form method="post" action="{{ route('results.reflect', $result) }}">@csrf
                @foreach ($asked->prompts as $i => $prompt)
                    @php $text = old("reflection.{$i}", $written[$prompt] ?? ''); @endphp
                    <div class="field"><label class="label" for="f-reflection-{{ $i }}">{{ $prompt }}</label>
                        <textarea class="input" id="f-reflection-{{ $i }}" name="reflection[{{ $i }}]" rows="5"
                            maxlength="20000" dir="auto" aria-describedby="d-reflection @error("reflection.{$i}") e-reflection-{{ $i }} @enderror"
                            @error("reflection.{$i}") aria-invalid="true" @enderror>{{ is_string($text) ? $text : '' }}</textarea>
                        @error("reflection.{$i}")<p class="error" id="e-reflection-{{ $i }}">{{ $message }}</p>@enderror
                    </div>
                @endforeach
                <p class="hint" id="d-reflection">{{ trans_choice('release.reflection_hint', count($asked->prompts), [
                    'least' => max(1, $asked->words), 'until' => LocalTime::shown($until), 'who' => __(
                    $asked->markersRead ? 'release.reflection_markers' : 'release.reflection_coordinators')]) }}</p>
                <div class="flex justify-end">
                    <button class="button primary">{{ $reflection ? 'Write it anew' : 'Send it' }}</button></div></form>
        @else
            @forelse ($reflection->answers ?? [] as $one)
                <p class="quiet small">{{ $one['prompt'] }}</p>
                <p class="whitespace-pre-line mb-3" dir="auto">{{ $one['text'] }}</p>
            @empty<p>{{ __('release.reflection_none') }}</p>@endforelse
        @endif
    </section>
@endif

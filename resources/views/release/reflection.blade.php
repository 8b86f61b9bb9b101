@php
    use App\Wording\LocalTime;
    $asked = $assignment->release->reflection;
    $until = $result->reflectionUntil();
@endphp
@if ($asked->isAskedFor())
    <section class="panel mt-4 no-print" id="reflection"><h2 class="mb-1">{{ __('release.reflection') }}</h2>
        <p class="whitespace-pre-line mb-2">{{ $asked->prompt }}</p>
        @if ($until->isFuture())
            <form method="post" action="{{ route('results.reflect', $result) }}">@csrf
                <x-field name="reflection" :label="__('release.reflection')" rows="7" maxlength="20000"
                    :value="$reflection?->text"
                    :hint="__('release.reflection_hint',
                        ['least' => $asked->words, 'until' => LocalTime::shown($until), 'who' => __(
                    $asked->markersRead ? 'release.reflection_markers' : 'release.reflection_coordinators')])" />
                <div class="flex justify-end">
                    <button class="button primary">{{ $reflection ? 'Write it anew' : 'Send it' }}</button></div></form>
        @else<p class="whitespace-pre-line"
            dir="auto">{{ $reflection->text ?? 'You wrote none, and the time for it is over.' }}</p>@endif
    </section>
@endif

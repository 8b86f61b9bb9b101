{{-- First remarks on a draft, for its student. --}}
@php
    use App\Enums\AskedState;
    $words = fn (string $key, array $with = []) => __("first-feedback.{$key}", $with);
    $offered = $assignment->first_feedback > 0 && config('harbor.assistant.address') !== '';
    $pieces = YoungHarbor\Core\FirstFeedback\Places::in($draft->text, array_column($first->remarks ?? [], 'quote'));
    $local = str_starts_with((string) config('harbor.assistant.address'), 'http://127.0.0.1');
@endphp
@if ($first !== null || $offered)
<section class="panel mx-6 my-5 max-w-[56rem]" id="first-feedback" @if ($first?->state === AskedState::Asked)
    hx-get="{{ route('drafts.show', $draft) }}" hx-trigger="every 2s" hx-target="#draft" hx-swap="outerHTML" aria-live="polite" @endif>
    <h2 class="mb-1">{{ $words('title') }} @if ($first?->assistant !== null)<span class="quiet font-normal">{{ $first->assistant }}@if (
        $first->simulated && ! Str::contains($first->assistant, 'simulated', true)), {{ $words('simulated') }}@endif</span>@endif</h2>
    @if ($first?->state === AskedState::Asked && ! $first->isLost())
        <p>{{ $words('asked') }}</p><noscript><p class="quiet small">Load this page again in a moment.</p></noscript>
    @elseif ($first?->state === AskedState::Answered)
        @php($titles = collect($assignment->rubricVersion?->toCore()->criteria)->mapWithKeys(fn ($one) => [$one->id() => $one->title()]))
        <p class="quiet mb-2">{{ $words('what') }}</p>
        @if (($first->remarks ?? []) === [])<p>{{ $words('nothing') }}</p>@else
        <form method="post" action="{{ route('first-feedback.update', $first) }}">@csrf @method('put')
            @foreach (collect($first->remarks)->groupBy(fn ($one) => $one['criterion'] ?? '', true) as $criterion => $remarks)
                <h3 class="mt-3 mb-1">{{ $titles->get($criterion) ?? $words('whole') }}</h3>
                <ul>@foreach ($remarks as $n => $one)<li class="py-2 border-t border-rule">
                    @if ($one['quote'] !== null)<p class="quiet font-text small" dir="auto"><a
                        href="#place-{{ $n }}">“{{ Str::limit(trim(Str::squish($one['quote']), '“”"«»'), 260) }}”</a></p>@endif
                    <p dir="auto">{{ $one['text'] }} <span class="quiet small">{{ $words('sure.'.$one['sure']) }}</span></p>
                    <label class="small"><input type="checkbox" name="used[]" value="{{ $n }}"
                        @checked(in_array($n, $first->used ?? [], true))> {{ $words('used') }}</label></li>@endforeach</ul>
            @endforeach
            <div class="flex flex-wrap gap-3 items-center mt-3"><label><input type="checkbox" name="share" value="1"
                @checked($first->shared_at !== null)> {{ $words('share') }}</label>
                <button class="button ml-auto">Save</button></div></form>@endif
        <details class="mt-3" id="places"><summary>{{ $words('places') }}</summary>
            <div class="text mt-2 whitespace-pre-line" dir="auto">{!! implode('', array_map(fn (array $one) => $one[1] === [] ? e($one[0])
                : implode('', array_map(fn (int $n) => '<a id="place-'.$n.'"></a>', $one[2])).'<mark class="remarked">'.e($one[0]).'</mark>',
                $pieces)) !!}</div></details>
        <p class="small mt-3"><span class="quiet">{{ $words('cannot_see') }}</span> <span dir="auto">{{ $first->cannot_see }}</span></p>
        <p class="quiet small mt-1">{{ $words($first->simulated ? 'what_happens_simulated' : 'what_happens') }}</p>
    @else
        @if ($first?->isLost())<p class="signal">{{ $words('failed') }} {{ $words('no_answer') }}</p>
        @elseif ($first?->state === AskedState::Failed)<p class="signal">{{ $words('failed') }} {{ $first->failure }}</p>@endif
        @if ($whyNoFirst !== null)<p class="quiet">{{ $whyNoFirst }}</p>@else
        <p>{{ $words('what') }}</p>
        <p class="quiet small mt-1">{{ $words($local ? 'what_happens_simulated' : 'what_happens') }}</p>
        <form class="mt-2 flex flex-wrap gap-3 items-center" method="post" action="{{ route('first-feedback.store', $draft) }}">@csrf
            <button class="button">{{ $words($first === null ? 'ask' : 'again') }}</button>
            <span class="quiet small">{{ trans_choice('first-feedback.left', $firstLeft, ['count' => $firstLeft]) }}</span></form>@endif
    @endif
</section>
@endif

@php
    use App\Wording\LocalTime;
    $written = array_column($own->answers ?? [], 'text', 'prompt');
    $least = max(1, $sheet->settings->words);
@endphp
<x-page :title="$sheet->title.': '.$module->fullTitle()" at="modules">
    <x-slot:head><div class="heading"><h1>{{ $sheet->title }}</h1><a class="of"
        href="{{ route('sheets.index', $module) }}">{{ __('sheets.title') }}, {{ $module->fullTitle() }}</a></div></x-slot:head>
    <div class="max-w-[46rem]">
        <p>@if ($own?->done_at !== null)<b>Done</b>, {{ LocalTime::shown($own->done_at) }}{{ $own->done_at->gt($sheet->due_at)
            ? ', late' : '' }}.@else Due {{ LocalTime::shown($sheet->due_at) }}.@if ($sheet->due_at->isPast()) You can still write it; it
            counts as late.@endif @endif</p>
        <p class="quiet mb-4">{{ __('sheets.who.'.($sheet->settings->teamReads ? '1' : '0')) }} {{ __('sheets.not_done_yet') }}</p>
        <form method="post" action="{{ route('sheets.write', $sheet) }}">@csrf @method('put')
            @foreach ($sheet->settings->prompts as $n => $prompt)
                @php($text = old("texts.{$n}", $written[$prompt] ?? ''))
                <div class="field"><label class="label" for="f-{{ $n }}">{{ $prompt }}</label>
                    <textarea class="input field-sizing-content" id="f-{{ $n }}" name="texts[{{ $n }}]" rows="4" maxlength="20000"
                        dir="auto" aria-describedby="d-{{ $n }}">{{ is_string($text) ? $text : '' }}</textarea>
                    <p class="hint" id="d-{{ $n }}">{{ $least === 1 ? 'A word at least.' : "{$least} words at least." }}
                        {{ YoungHarbor\Core\Text\Words::of($written[$prompt] ?? '')->count() }} so far.</p></div>
            @endforeach
            <div class="flex justify-end"><button class="button primary">Save</button></div></form>
    </div>
</x-page>

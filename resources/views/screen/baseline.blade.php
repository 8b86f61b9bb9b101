@php
    use YoungHarbor\Core\Writing\Conformal;
    use YoungHarbor\Core\Writing\Signal;
@endphp
<x-page :title="$baseline->name" at="modules">
    <x-slot:head><div class="heading">
        <h1>{{ $baseline->name }}</h1><a class="of"
        href="{{ route('baselines.index', $module) }}">Baselines of {{ $module->fullTitle() }}</a></div></x-slot:head>
    <div class="split">
        <div id="worth" @if (! $baseline->isWorkedOut() && ! $baseline->failure) hx-get="{{ request()->fullUrl() }}"
            hx-trigger="load delay:2s" hx-select="#worth" hx-swap="outerHTML" @endif>
            <div class="mb-4">
                @if ($baseline->failure)<div class="notice refusal">It could not be worked out: {{ $baseline->failure }}
                Take the last text out, or add one, to try again.</div>
                @elseif (! $baseline->isWorkedOut())<p class="quiet" role="status">Version {{ $baseline->version }}
                is being worked out. This page keeps itself up to date.</p>
                @elseif ($baseline->size === 0)<p class="quiet">
                    No text in it is used yet. At least {{ Conformal::least(0.05) }}
                    are needed for an alarm of 0.05, {{ Conformal::least(0.1) }} for 0.1.</p>
                @else
                    <p><b>{{ $baseline->size }} {{ $baseline->size === 1 ? 'text is used' : 'texts are used' }}.</b>
                    The lowest alarm it can support is {{ number_format($baseline->lowestAlarm(),
                        3) }}{{ $baseline->lowestAlarm() > 0.05 + 1e-9
                        ? '; one of 0.05 needs '.Conformal::least(0.05).' texts' : '' }}.
                        <span class="quiet">Version {{ $baseline->version }}, {{ $baseline->language }}.</span></p>
                    <details class="mt-2"><summary><b>How its texts spread</b></summary>
                        <table class="table mt-2"><thead><tr><th>Signal</th><th class="num">Nine in ten from</th>
                        <th class="num">Middle</th><th class="num">to</th></tr></thead><tbody>
                            @foreach ($baseline->spread ?? [] as $name => $one)@php($signal = Signal::from($name))<tr>
                                <td>{{ Str::ucfirst(__('screen.signal.'.$signal->value)) }}
                                <span class="quiet small">{{ $signal->unit() }}</span></td>
                                @foreach (['low', 'middle', 'high'] as $at)<td class="num">
                                    {{ number_format($one[$at], $signal->decimals()) }}</td>@endforeach</tr>@endforeach
                        </tbody></table></details>
                @endif
            </div>
            @if ($texts->isEmpty())<x-empty title="No texts yet">
                Add texts you trust: written under supervision, or in years before writing programs. They should be of the kind, the length and the language of what will be compared with them.
                </x-empty>
            @else
                <div class="sheet scroll" tabindex="0"><table class="table stacked">
                    <thead><tr><th>Text, and where it is from</th><th class="num">Words measured</th><th>Used</th>
                    <th class="num">Since version</th><th></th></tr></thead>
                    <tbody>@foreach ($texts as $text)
                        <tr><td>@if ($text->beginning)<span class="clip">{{ App\Wording\FirstWords::of(
                            $text->beginning) }}</span><br>@endif<span
                            class="quiet small">{{ $text->title }}</span></td>
                            <td class="num" data-label="Words measured">{{ number_format($text->words) }}</td>
                            <td data-label="Used">@if ($text->taken_out_version)<span
                                class="quiet">out since version {{ $text->taken_out_version }}: {{ $text->taken_out_reason }}</span>@elseif ($text->misfit)<span
                                class="signal">not used.</span>
                                <span class="small">{{ $text->misfit }}</span>@else{{ $baseline->isWorkedOut() ? 'yes'
                                    : '' }}@endif</td><td class="num"
                                    data-label="Since version">{{ $text->added_version }}</td>
                            <td>@unless ($text->taken_out_version)<details class="drop">
                                <summary class="link">Take out …</summary>
                                <form class="panel" method="post"
                                    action="{{ route('baselines.take-out', $text) }}">@csrf<label class="small">Why
                                    <input class="input" name="reason" maxlength="300"
                                        required></label><button class="button mt-2">Take it out</button></form>
                                        </details>@endunless</td></tr>
                    @endforeach</tbody>
                </table></div>
                <x-pages :pages="$texts" />
            @endif
        </div>
        <aside class="grid gap-5 self-start">
            <section class="panel"><h2 class="mb-2">Add texts</h2>
                <form method="post" action="{{ route('baselines.add', $baseline) }}" enctype="multipart/form-data"
                    data-many="{{ (int) config('harbor.upload.max_megabytes') * 1048576 }}" data-shows="#worth">@csrf
                    <x-field name="title" label="Where they come from" :value="old('title')"
                        placeholder="Supervised writing, October 2025" />
                    <label class="field"><span class="label">Texts</span><input class="input" type="file" name="texts[]"
                        multiple required><span class="hint">As many files as you like: {{ App\Extraction\FileKind::documentsInWords() }}, each with {{ YoungHarbor\Core\Writing\Fit::LEAST_WORDS }}
                        words of running text at least. Only their words are kept. Take names out of the texts first.</span></label>
                    @error('texts')<p class="error">{{ $message }}</p>@enderror
                    @include('screen.many')
                </form></section>
            @if ($archive->isNotEmpty())
                <section class="panel"><h2 class="mb-1">From the archive</h2>
                <p class="quiet small mb-2">Only texts whose writing you trust.</p>
                    @foreach ($archive as $one)<form class="flex items-baseline gap-2 py-1" method="post"
                        action="{{ route('baselines.add', $baseline) }}">@csrf<input type="hidden" name="archive"
                        value="{{ $one->title."\n".$one->cohort }}"><span class="small">{{ trim(
                        $one->title.', '.$one->cohort, ', ') }}
                        ({{ $one->texts }})</span><button class="link small ml-auto">add</button></form>@endforeach
                </section>
            @endif
        </aside>
    </div>
</x-page>

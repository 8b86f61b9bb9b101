<x-page title="Archive" at="modules">
    <x-slot:head><div class="heading">
        <h1>Archive</h1><a class="of" href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a></div>
        </x-slot:head>
    <div class="split">
        <div id="texts">
            @if ($texts->isEmpty())
                <x-empty title="No text of this module is in the archive">
                    Scripts join it when their assignment says so under Screening; texts of earlier years can be added as files.
                    </x-empty>
            @else
                <div class="sheet scroll" tabindex="0">
                    <p class="px-3 pt-2 quiet small">{{ number_format($texts->total()) }}
                    {{ $texts->total() === 1 ? 'text' : 'texts' }}, each shown with its first words of running text.</p>
                    <table class="table stacked">
                    <thead><tr><th>Text, and what it was written for</th><th>Cohort</th><th class="num">Words</th>
                    <th>How it came</th><th></th></tr></thead>
                    <tbody>
                        @foreach ($texts as $text)
                            <tr>
                                <td>@if ($text->beginning)<span class="clip">{{ App\Wording\FirstWords::of(
                                    $text->beginning) }}</span><br>@endif<span
                                    class="quiet small">{{ $text->title }}</span>
                                    @if ($text->handin)<span
                                        class="code quiet">{{ $text->handin->script->code }}</span>@endif</td>
                                        <td data-label="Cohort">{{ $text->cohort }}</td>
                                        <td class="num" data-label="Words">{{ number_format($text->words) }}</td>
                                        <td class="lg:whitespace-nowrap"
                                            data-label="How it came">
                                            {{-- when a hand-in came beside its code would tell whose it is --}}{{ $text->handin_id === null
                                            ? App\Wording\LocalTime::shown($text->created_at) : 'handed in here' }}</td>
                                <td>@if ($text->taken_out_at)<span
                                    class="quiet small">taken out {{ App\Wording\LocalTime::shown(
                                    $text->taken_out_at) }}: {{ $text->taken_out_reason }}</span>
                                    @else<details class="drop"><summary class="link">Take out …</summary>
                                    <form class="panel" method="post"
                                        action="{{ route('archive.take-out', $text) }}">@csrf<label class="small">Why
                                        <input class="input" name="reason" maxlength="300"
                                            required></label><p class="quiet small my-2">
                                            Nothing is compared with it any more, and reports that name it are worked out without it.
                                            </p><button class="button">Take it out</button></form></details>@endif</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table></div>
                <x-pages :pages="$texts" />
            @endif
        </div>
        <aside class="panel self-start">
            <h2 class="mb-2">Add earlier texts</h2>
            <form method="post" action="{{ route('archive.store', $module) }}" enctype="multipart/form-data"
                data-many="{{ (int) config('harbor.upload.max_megabytes') * 1048576 }}" data-shows="#texts">@csrf
                <x-field name="title" label="Written for" :value="old('title')"
                    placeholder="Essay: A living from the edge" />
                <x-field name="cohort" label="When" :value="old('cohort')" placeholder="2025/26" />
                <label class="field"><span class="label">Texts</span><input class="input" type="file" name="texts[]"
                    multiple required><span class="hint">As many files as you like: {{ App\Extraction\FileKind::documentsInWords() }}. Their words are kept, without file names and properties. Take names out of the texts first: nobody here knows whose they are.</span></label>
                @include('screen.many')
            </form>
        </aside>
    </div>
</x-page>

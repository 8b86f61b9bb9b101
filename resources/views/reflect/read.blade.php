@php use App\Wording\LocalTime; @endphp
<x-page :title="$sheet->title.': '.$module->fullTitle()" at="modules">
    <x-slot:head><div class="heading"><h1>{{ $sheet->title }}</h1><a class="of"
        href="{{ route('sheets.index', $module) }}">{{ __('sheets.title') }}, {{ $module->fullTitle() }}</a></div></x-slot:head>
    <div class="split"><div class="min-w-0">
        <p class="quiet mb-4">{{ $sheet->opened_at === null ? 'Students are not asked yet.' : $reading->done.' of '.count($reading->rows)
            .' have written; due '.LocalTime::shown($sheet->due_at).'.' }} {{ $sheet->settings->teamReads
            ? 'Everyone who marks in this module reads it.' : 'Coordinators alone read it.' }}</p>
        @if ($reading->done > 0)
            <section class="panel mb-5"><h2 class="mb-2">{{ __('sheets.words_title') }}</h2>
                @if ($reading->words === [])<p class="quiet">{{ __('sheets.words_few') }}</p>
                @else<ul class="flex flex-wrap gap-x-5 gap-y-1">@foreach ($reading->words as $word => $many)<li><b>{{ $word }}</b>
                    <span class="quiet small">{{ $many }}</span></li>@endforeach</ul>
                <p class="quiet small mt-2">{{ __('sheets.words_say') }}</p>@endif</section>
            @foreach ($reading->rows as $row)@if ($row['answer'] !== null)
                <section class="sheet px-4 py-3 mb-3"><h2 class="mb-1">{{ $row['student']->name }}
                    <span class="quiet font-normal small">{{ LocalTime::shown($row['answer']->done_at) }}@if ($row['late']), late @endif,
                    {{ $row['answer']->words }} words</span></h2>
                    @foreach ($row['answer']->answers as $one)<p class="quiet small mt-2">{{ $one['prompt'] }}</p>
                        <p class="whitespace-pre-line" dir="auto">{{ $one['text'] }}</p>@endforeach</section>
            @endif @endforeach
        @elseif ($sheet->opened_at !== null)<x-empty title="Nothing written yet">Each appears here once it is done.</x-empty>@endif
        @php($none = array_filter($reading->rows, fn ($row) => $row['answer'] === null))
        @if ($none !== [] && $sheet->opened_at !== null && $reading->done > 0)<h2 class="mb-1 mt-5">Not done</h2>
            <p>{{ implode(', ', array_map(fn ($row) => $row['student']->name, $none)) }}.</p>@endif
    </div>
    @can('coordinate', $sheet)<aside class="self-start">
        @if ($sheet->opened_at === null)<form class="panel mb-4" method="post" action="{{ route('sheets.open', $sheet) }}">@csrf
            <h2 class="mb-1">Ask students</h2><p class="mb-2">They get a notice, and a reminder a day before it is due.</p>
            <div class="flex justify-end"><button class="button primary">Ask them</button></div></form>@endif
        @include('reflect.form')
    </aside>@endcan
    </div>
</x-page>

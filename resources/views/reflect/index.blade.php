@php use App\Wording\LocalTime; @endphp
<x-page :title="__('sheets.title').': '.$module->fullTitle()" at="modules">
    <x-slot:head><div class="heading"><h1>{{ __('sheets.title') }}</h1><a class="of"
        href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a></div></x-slot:head>
    <div class="split"><div class="min-w-0">
        @if ($sheets->isEmpty())
            <x-empty :title="__('sheets.none')">@can('coordinate', $module){{ __('sheets.none_body') }}
                @else{{ __('sheets.none_student') }}@endcan</x-empty>
        @else
            <div class="sheet scroll"><table class="table stacked"><thead><tr><th>Reflection</th><th>Due</th><th>State</th></tr></thead>
                <tbody>@foreach ($sheets as $sheet)<tr>
                    <td><a class="font-bold" href="{{ route('sheets.show', $sheet) }}">{{ $sheet->title }}</a></td>
                    <td data-label="Due">{{ LocalTime::shown($sheet->due_at) }}</td>
                    <td data-label="State">@can('read', $sheet){{ $sheet->opened_at === null ? 'students are not asked yet'
                        : $sheet->done_count.' done' }}@else{{ $own->get($sheet->id)?->done_at !== null ? 'done'
                        : ($own->has($sheet->id) ? 'begun' : 'not written') }}@endcan</td></tr>@endforeach</tbody></table></div>
        @endif
    </div>
    @can('coordinate', $module)<aside class="self-start">@include('reflect.form', ['sheet' => null])</aside>@endcan
    </div>
</x-page>

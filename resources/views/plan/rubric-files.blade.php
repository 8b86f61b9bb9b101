<x-page :title="'Export: '.$rubric->title" at="rubrics">
    <x-slot:head><x-rubric-head :rubric="$rubric" here="files" /></x-slot:head>
    <div class="max-w-3xl">
        @php($forms = [
            'json' => ['Our own JSON', 'Everything this rubric says; can be imported again anywhere Young Harbor runs.',
                []],
            'case' => ['CASE 1.0 JSON', 'The open standard of 1EdTech for rubrics.', $lost['case']],
            'csv' => ['CSV', 'A table for a spreadsheet.', $lost['csv']],
            'pdf' => ['PDF', 'For printing, A4 across.', []],
        ])
        @foreach ($forms as $form => [$name, $what, $without])
            <div class="lock">
                <span></span>
                <div><b>{{ $name }}</b> <span class="quiet">{{ $what }}</span>
                    @if ($without !== [])<p class="small mt-1">It cannot hold, and our own JSON does:</p>
                    <ul class="small list-disc ml-5">
                        @foreach ($without as $sentence)<li>{{ $sentence }}</li>@endforeach</ul>@endif
                    @if (in_array($form, ['pdf', 'case'], true) && ! $complete)<p class="small quiet">
                        When nothing is left to mend on the sheet.</p>@endif
                </div>
                @unless (in_array($form, ['pdf', 'case'], true) && ! $complete)<a class="button"
                    href="{{ route('rubrics.file', [$rubric, $form]) }}">Download the {{ $form === 'case' ? 'CASE file'
                    : strtoupper($form) }}</a>@endunless
            </div>
        @endforeach
    </div>
</x-page>

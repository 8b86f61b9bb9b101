@php use App\Wording\LocalTime; @endphp
<x-page :title="__('first-feedback.shared_title').': '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Collect" /></x-slot:head>
    <h1 class="text-xl! mb-1">{{ __('first-feedback.shared_title') }}</h1>
    <p class="quiet mb-4">Remarks of an outside writing assistant on drafts; they say nothing of the work that was handed in.</p>
    @forelse ($shared as $one)
        <section class="sheet px-4 py-3 mb-3 max-w-[56rem]"><h2 class="mb-1">{{ $one->student->name }} <span
            class="quiet font-normal small">{{ LocalTime::shown($one->created_at) }}, {{ $one->assistant }}</span></h2>
            <ul>@foreach ($one->remarks ?? [] as $n => $remark)<li class="py-1">
                @if (in_array($n, $one->used ?? [], true))<b>used:</b>@endif <span dir="auto">{{ $remark['text'] }}</span>
                @if (
                    $remark['quote'] !== null
                )<span class="quiet small" dir="auto">“{{ Str::limit(Str::squish($remark['quote']), 120) }}”</span>@endif
                </li>@endforeach</ul></section>
    @empty<x-empty title="Nothing is shared">Students choose whether you read the remarks on their drafts.</x-empty>@endforelse
</x-page>

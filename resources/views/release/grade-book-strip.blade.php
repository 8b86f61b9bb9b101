{{-- What waits, assignment by assignment, each with the place where it is done. --}}
@php
    $waits = [];
    foreach ($strip as ['assignment' => $one, 'counts' => $n, 'unsigned' => $unsigned]) {
        $of = array_filter([
            'share' => [$n->handedIn - $n->sharedOut, 'share-out.index'],
            'mark' => [$n->sharedOut - $n->firstDone, 'mark.index'],
            'settle' => [$n->toSettle, 'moderate.index'],
            'sign' => [$unsigned, 'packs.index'],
            'release' => [$n->agreed - $n->released - $n->held, 'release.index'],
            'held' => [$n->held, 'release.index'],
        ], fn ($what) => $what[0] > 0);
        $of === [] || $waits[] = [$one, $of];
    }
@endphp
@if ($waits !== [])
    <section class="panel mb-4" aria-labelledby="waits"><h2 class="mb-1" id="waits">{{ __('grade-book.waits') }}</h2>
        <ul>@foreach ($waits as [$one, $of])<li class="py-1 flex flex-wrap gap-x-4"><b>{{ $one->title }}</b>
            @foreach ($of as $what => [$count, $route])<a href="{{ route($route, $one) }}">{{
                trans_choice("grade-book.waits_{$what}", $count, ['count' => $count]) }}</a>@endforeach</li>@endforeach</ul></section>
@endif

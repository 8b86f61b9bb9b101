<x-page :title="'Versions: '.$rubric->title" at="rubrics">
    <x-slot:head><x-rubric-head :rubric="$rubric" here="versions" /></x-slot:head>
    @if ($versions->isEmpty())
        <x-empty title="No version yet">
            Making the rubric ready freezes version 1. Assignments use a version, and it never changes after that.
            </x-empty>
    @endif
    @if ($open !== null)
        <section class="mb-8"><h2 class="mb-2">Being changed now, since version {{ $versions->first()->number }}</h2>
        @include('plan.rubric-changes', ['rows' => $open])</section>
    @endif
    @foreach ($versions as $version)
        <section class="mb-8">
            <h2>Version {{ $version->number }}
            <span class="quiet small font-normal">{{ App\Wording\LocalTime::shown(
                $version->created_at) }}, {{ $version->madeBy->name }}, fingerprint {{ substr($version->hash, 0,
                12) }}</span></h2>
            @if (isset($used[$version->id]))
                <p class="mb-2">Used by @foreach ($used[$version->id] as $assignment)@can('coordinate',
                    $assignment)<a href="{{ route('plan.edit',
                    $assignment) }}">{{ $assignment->title }}</a>@else{{ $assignment->title }}@endcan{{ $loop->last
                    ? '.' : ', ' }}@endforeach</p>
            @else<p class="quiet small mb-2">Used by no assignment.</p>@endif
            @if ($changes[$version->id] !== null)@include('plan.rubric-changes',
                ['rows' => $changes[$version->id]])@endif
        </section>
    @endforeach
</x-page>

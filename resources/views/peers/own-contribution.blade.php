@php
    use App\Wording\LocalTime;
    $settings = $contribution->settings;
    $takes = $contribution->takesRatings() && $own->members->count() > 1;
@endphp
<x-page :title="__('contribution.title').': '.$contribution->assignment->title" at="modules">
    <x-slot:head><div class="heading"><h1>{{ __('contribution.title') }}</h1><a class="of"
        href="{{ route('hand-in.show', $contribution->assignment) }}">{{ $contribution->assignment->title }},
        {{ $own->script->group_name }}</a></div></x-slot:head>
    <div class="max-w-[46rem]">
    @if ($own->members->count() < 2)
        <x-empty title="Nobody to rate">{{ __('contribution.alone') }}</x-empty>
    @else
        @if (! $contribution->takesRatings())<p class="notice mb-4">{{ __($contribution->isClosed()
            ? 'contribution.closed_meanwhile_short' : 'contribution.over') }}</p>
        @else<p class="mb-1">How much did each of you do? Until {{ LocalTime::shown($contribution->due_at) }}.</p>@endif
        <p class="mb-4 quiet">{{ __('contribution.only_you') }}
            @if ($settings->weight > 0)It moves the marks of the group: {{ $settings->weight }} % of it counts.@else
            It moves no mark.@endif
            @if ($own->members->count() === 2 && $settings->weight > 0){{ __('contribution.two') }}@endif</p>
        <form method="post" action="{{ route('contributions.rate', $contribution) }}">@csrf @method('put')
            @foreach ($own->members as $member)
                @php
                    $id = $member->student->public_id;
                    $mine = $member->is($own->script);
                    $given = old("points.{$id}", $own->ratings[$member->id]->points ?? []);
                @endphp
                <fieldset class="sheet px-4 py-3 mb-4" @disabled(! $takes)><legend class="sr-only">{{ $member->student->name }}</legend>
                    <h2 class="mb-2">{{ $mine ? 'You' : $member->student->name }}</h2>
                    @foreach ($settings->criteria as $n => $criterion)
                        <fieldset class="mb-3"><legend class="label">{{ $criterion }}</legend>
                            <div class="gauge">@foreach (__('contribution.points') as $points => $word)<label><input
                                type="radio" name="points[{{ $id }}][{{ $n }}]" value="{{ $points }}"
                                @checked((string) ($given[$n] ?? '') === (string) $points)>
                                <span>{{ $word }}</span></label>@endforeach</div></fieldset>
                    @endforeach
                    <label class="block"><span class="label font-normal">A word to your coordinators, if you like</span>
                        <textarea class="input" name="notes[{{ $id }}]" rows="1" maxlength="1000"
                            dir="auto">{{ old("notes.{$id}", $own->ratings[$member->id]->note ?? '') }}</textarea></label>
                </fieldset>
            @endforeach
            @if ($takes)<div class="flex justify-end"><button class="button primary">Save</button></div>@endif
        </form>
    @endif
    </div>
</x-page>

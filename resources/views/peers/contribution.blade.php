@php
    use App\Queries\Peers\ContributionPage;
    use App\Wording\LocalTime;
    use YoungHarbor\Core\Figures\Figure;
    $contribution = $page->contribution;
    $settings = $page->settings;
    $closed = $contribution?->isClosed() === true;
    $group = $assignment->handin_by === App\Enums\HandInBy::GroupOneMark;
@endphp
<x-page :title="__('contribution.title').': '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::ShareOut" /></x-slot:head>
    @include('share-out.tabs', ['at' => 'contribution'])
    <h1 class="text-xl! mb-1">{{ __('contribution.title') }}</h1>
    @if (! $group)
        <x-empty title="One mark for a group">{{ __('contribution.needs_groups') }}
            <p class="mt-3"><a class="button" href="{{ route('plan.edit', $assignment) }}">Go to Plan</a></p></x-empty>
    @else
    <p class="quiet mb-4">@if ($contribution === null)Nothing is planned yet.@elseif ($closed)Closed {{ LocalTime::shown(
        $contribution->closed_at) }}.@elseif ($contribution->opened_at === null)Students are not asked yet.@else
        {{ $page->rated }} of {{ $page->asked }} have rated; to be rated by {{ LocalTime::shown($contribution->due_at) }}.@endif</p>
    <div class="split"><div class="min-w-0">
        @foreach ($page->groups as $one)
            <section class="sheet mb-5" aria-labelledby="g-{{ $loop->index }}">
                <div class="px-4 pt-3 flex flex-wrap gap-x-4 items-baseline"><h2 id="g-{{ $loop->index }}">{{ $one['name'] }}</h2>
                    <span class="quiet">{{ $one['rated'] }} of {{ count($one['members']) }} have rated</span></div>
                @if ($one['doubts'] !== [])<div class="px-4 pb-2"><ul class="list-disc ml-5">
                    @foreach ($one['doubts'] as $doubt)<li><span class="signal">{{ $doubt }}</span></li>@endforeach</ul>
                    <p class="quiet small">{{ __('contribution.doubts_say') }}</p></div>@endif
                <div class="scroll"><table class="table"><thead><tr><th scope="col">Points for</th>
                    @foreach ($one['members'] as $rater)<th scope="col" class="num"><span class="sr-only">from</span>
                        {{ Str::before($rater['script']->student->name, ' ') }}</th>@endforeach
                    <th scope="col" class="num">Factor</th><th scope="col" class="num">Mark times</th>
                    <th scope="col" class="num">{{ ContributionPage::EXAMPLE }} becomes</th></tr></thead>
                    <tbody>@foreach ($one['members'] as $member)
                        <tr><th scope="row" class="font-normal text-left">{{ $member['script']->student->name }}</th>
                            @foreach ($one['members'] as $rater)@php($given = $member['given'][$rater['script']->id])
                            <td @class(['num', 'quiet' => $rater['script']->is($member['script'])])>{{ $given ?? '–' }}</td>@endforeach
                            <td class="num">{{ Figure::shown($member['step']->factor, 3) }}</td>
                            <td class="num"><b>{{ Figure::shown($member['step']->multiplier(), 3) }}</b></td>
                            <td class="num">{{ $member['example'] }}</td></tr>
                    @endforeach</tbody></table></div>
                @if ($closed)@foreach ($one['members'] as $member)
                    @php($name = $member['script']->student->name)
                    <details class="px-4 py-2 border-t border-rule"><summary>{{ $name }}:
                        {{ $member['step']->inWords() }}@if ($member['set'] !== null)<span class="quiet small">
                        set {{ LocalTime::shown($member['set']->set_at) }}: {{ $member['set']->reason }}</span>@endif</summary>
                        @if (! $page->isOut)<form class="flex flex-wrap gap-3 items-end mt-2" method="post"
                            action="{{ route('contributions.set', $contribution) }}">@csrf @method('put')
                            <input type="hidden" name="member" value="{{ $member['script']->student->public_id }}">
                            <label>Mark times<input class="input w-28" name="times" inputmode="decimal"
                                aria-label="Mark times, for {{ $name }}"
                                value="{{ $member['step']->instead }}"><span class="hint">empty: what was worked out</span></label>
                            <label class="grow">The reason<input class="input" name="reason" maxlength="2000"
                                aria-label="The reason, for {{ $name }}"></label>
                            <button class="button" aria-label="Set it for {{ $name }}">Set it</button></form>@endif</details>
                @endforeach @endif
            </section>
        @endforeach
        @if ($page->notes !== [])<h2 class="mb-2">What they wrote to you</h2>
            <ul class="sheet px-4 py-2 mb-5">@foreach ($page->notes as [$who, $note])<li class="py-1"><b>{{ $who }}:</b>
                <span dir="auto" class="whitespace-pre-line">{{ $note }}</span></li>@endforeach</ul>@endif
        @if ($page->groups === [])<p class="notice mb-5">{{ __('contribution.no_groups') }}</p>@endif
        <section class="max-w-[46rem]"><h2 class="mb-1">How it is worked out</h2>
            <p class="mb-2">Each member’s points are shared out as parts of their sum, so that who is generous weighs no more than who is
                strict. A member’s factor is what they were given beside what would be theirs had everyone done as much; factors of a group
                add up to its members. {{ $settings->silentEven ? 'Who rates nobody counts as having given everyone the same.'
                    : 'Who rates nobody is not counted as a rater.' }}
                {{ $settings->own ? 'Own ratings count.' : 'Own ratings do not count.' }} The group’s mark times 1 − w + w × factor,
                with w = {{ $settings->weight }} %{{ $settings->floor === null ? '' : ", at least {$settings->floor} %" }}{{ $settings->cap === null ? ''
                    : ", at most {$settings->cap} %" }}: a line of each student’s working.</p>
            <p class="quiet">It says what members say of each other, not what they did. In a group of two either can tell from their mark
                what the other said.</p></section>
    </div>
    <aside class="self-start">
        @if (! $closed)
            <form class="panel mb-4" method="post" action="{{ route('contribution.save', $assignment) }}">@csrf @method('put')
                <h2 class="mb-2">What members say</h2>
                <x-field name="criteria" label="What is rated, a line each" rows="4" :value="implode(PHP_EOL, $settings->criteria)"
                    hint="One to six. On each, every member gives every member nothing, little, some, a full share, or more." />
                <x-field name="due_at" label="To be rated by" type="datetime-local"
                    :value="LocalTime::field($contribution?->due_at)" />
                <x-field name="weight" label="It moves the mark by so much, %" inputmode="numeric" :value="$settings->weight"
                    hint="0: for you to read alone. 100: the factor alone decides." />
                <x-choice name="own" label="Own ratings" :value="$settings->own ? '1' : '0'"
                    :options="['1' => 'count', '0' => 'do not count']" />
                <x-choice name="silent_even" label="Who rates nobody" :value="$settings->silentEven ? '1' : '0'"
                    :options="['1' => 'counts as having given all the same', '0' => 'is no rater']" />
                <div class="grid grid-cols-2 gap-x-4"><x-field name="floor" label="At least, %" inputmode="numeric"
                    :value="$settings->floor" /><x-field name="cap" label="At most, %" inputmode="numeric"
                    :value="$settings->cap" /></div>
                <div class="flex justify-end"><button class="button @if ($contribution === null) primary @endif">Save</button></div></form>
            @if ($contribution !== null && $contribution->opened_at === null)
                <form class="panel mb-4" method="post" action="{{ route('contributions.open', $contribution) }}">@csrf
                    <h2 class="mb-1">Ask the members</h2><p class="mb-2">They get a notice, and a reminder a day before it is due if they
                        have not rated.</p>
                    <div class="flex justify-end"><button class="button primary">Ask them</button></div></form>
            @elseif ($contribution !== null)
                <form class="panel mb-4" method="post" action="{{ route('contributions.close', $contribution) }}">@csrf
                    <h2 class="mb-1">Close it</h2><p class="mb-2">Factors are worked out and join the marks. Results wait for it. Until one
                        is out you can open it again.</p>
                    <div class="flex justify-end"><button class="button">Close it</button></div></form>
            @endif
        @elseif ($page->isOut)
            <section class="panel"><h2 class="mb-1">Results are out</h2><p>{{ __('contribution.results_out') }}</p></section>
        @else
            <form class="panel mb-4" method="post" action="{{ route('contributions.reopen', $contribution) }}">@csrf
                <h2 class="mb-1">Open it again</h2><p class="mb-2">Members can rate again. What was worked out, and what you set by hand,
                    is dropped.</p>
                <x-field name="due_at" label="To be rated by" type="datetime-local" />
                <div class="flex justify-end"><button class="button">Open it again</button></div></form>
        @endif
    </aside></div>
    @endif
</x-page>

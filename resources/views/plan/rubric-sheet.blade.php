@php
    $criteria = $draft->criteria();
    $levels = $draft->levels();
    $tall = fn ($weight) => 'tall-'.max(1, min(5, (int) ceil((float) (string) $weight / 10)));
@endphp
<form id="sheet" class="grid grid-cols-[minmax(0,1fr)_104px] gap-5" method="post" action="{{ route('rubrics.update', $rubric) }}"
    hx-put="{{ route('rubrics.update', $rubric) }}" hx-trigger="change delay:150ms, submit" hx-target="#sheet-side" hx-swap="outerHTML" hx-sync="this:queue all">
    @csrf @method('put')
    <div class="min-w-0">
        <div class="flex flex-wrap items-baseline gap-x-4 mb-2">
            <label class="sr-only" for="rubric-title">Title</label>
            <input id="rubric-title" class="input max-w-md font-bold" name="title" value="{{ $draft->document['title'] ?? '' }}" maxlength="200">
            <span class="quiet small">working copy{{ $rubric->latestVersion ? ' · version '.$rubric->latestVersion->number.' stays as it is' : '' }}</span>
        </div>
        <div class="sheet scroll">
            <table class="rubric">
                <thead>
                    <tr>
                        <th class="crit quiet" scope="col">Criterion</th>
                        @foreach ($levels as $level)
                            <th scope="col">
                                <div class="flex gap-1 items-start">
                                    <input class="font-bold" name="levels[{{ $level['id'] }}][title]" value="{{ $level['title'] ?? '' }}" aria-label="Name of level {{ $loop->iteration }}" placeholder="level">
                                    <input class="num w-14!" name="levels[{{ $level['id'] }}][points]" value="{{ $level['points'] ?? '' }}" aria-label="Points of level {{ $loop->iteration }}" inputmode="decimal" placeholder="points">
                                </div>
                                <div class="tools">
                                    @unless ($loop->first)<button name="do" value="level-left:{{ $level['id'] }}" aria-label="Move level {{ $loop->iteration }} left">left</button>@endunless
                                    @unless ($loop->last)<button name="do" value="level-right:{{ $level['id'] }}" aria-label="Move level {{ $loop->iteration }} right">right</button>@endunless
                                    @if (count($levels) > 1)<button name="do" value="remove-level:{{ $level['id'] }}" aria-label="Remove level {{ $loop->iteration }}">remove</button>@endif
                                </div>
                            </th>
                        @endforeach
                        <th class="weight num quiet" scope="col">Weight %</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($criteria as $criterion)
                        @php($id = $criterion['id'])
                        <tr class="{{ $tall(YoungHarbor\Core\Rubric\Draft::weight($criterion)) }}">
                            <td>
                                <textarea class="font-bold" rows="1" name="criteria[{{ $id }}][title]" aria-label="Criterion {{ $loop->iteration }}" placeholder="criterion">{{ $criterion['title'] ?? '' }}</textarea>
                                <textarea class="small quiet" rows="1" name="criteria[{{ $id }}][purpose]" aria-label="What criterion {{ $loop->iteration }} looks for" placeholder="what it looks for">{{ $criterion['purpose'] ?? '' }}</textarea>
                                <div class="tools">
                                    @unless ($loop->first)<button name="do" value="criterion-up:{{ $id }}" aria-label="Move criterion {{ $loop->iteration }} up">up</button>@endunless
                                    @unless ($loop->last)<button name="do" value="criterion-down:{{ $id }}" aria-label="Move criterion {{ $loop->iteration }} down">down</button>@endunless
                                    <button name="do" value="duplicate-criterion:{{ $id }}" aria-label="Duplicate criterion {{ $loop->iteration }}">duplicate</button>
                                    @if (count($criteria) > 1)<button name="do" value="remove-criterion:{{ $id }}" aria-label="Remove criterion {{ $loop->iteration }}">remove</button>@endif
                                </div>
                            </td>
                            @foreach ($levels as $level)
                                @php($unused = in_array($level['id'], $criterion['unused'] ?? [], true))
                                <td @class(['unused' => $unused])>
                                    @if ($unused)
                                        <span class="quiet small">not used</span>
                                        <div class="tools"><button name="do" value="toggle-cell:{{ $id }}:{{ $level['id'] }}" aria-label="Use level {{ $loop->iteration }} on criterion {{ $loop->parent->iteration }}">use it</button></div>
                                    @else
                                        <textarea class="small" rows="2" name="criteria[{{ $id }}][descriptors][{{ $level['id'] }}]" aria-label="Descriptor: criterion {{ $loop->parent->iteration }}, level {{ $loop->iteration }}" placeholder="descriptor">{{ $criterion['descriptors'][$level['id']] ?? '' }}</textarea>
                                        @unless ($loop->first && $loop->last)<div class="tools"><button name="do" value="toggle-cell:{{ $id }}:{{ $level['id'] }}" aria-label="Do not use level {{ $loop->iteration }} on criterion {{ $loop->parent->iteration }}">leave out</button></div>@endunless
                                    @endif
                                </td>
                            @endforeach
                            <td><input class="num font-bold" name="criteria[{{ $id }}][weight]" value="{{ $criterion['weight'] ?? '' }}" aria-label="Weight of criterion {{ $loop->iteration }} in percent" inputmode="decimal"></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
        <div class="flex gap-5 mt-2">
            <button class="link" name="do" value="add-criterion">+ criterion</button>
            <button class="link" name="do" value="add-level">+ level</button>
        </div>
    </div>
    @include('plan.rubric-side', ['fresh' => false])
    <input type="hidden" name="whole" value="1">
</form>
@if (request()->header('HX-Request'))
    @include('plan.rubric-fresh')
@else
    <div class="flex justify-end items-center gap-4 mt-6 mr-[124px]">
        <noscript><span class="signal small">Save what you have written first.</span></noscript>
        <span class="quiet small">Making it ready freezes this version; assignments can then use it.</span>
        <form id="ready" method="post" action="{{ route('rubrics.ready', $rubric) }}">@csrf<button class="button primary" name="seen" value="{{ $rubric->lock_version }}" id="ready-button">Make it ready</button></form>
    </div>
@endif

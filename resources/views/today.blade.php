<x-page title="Today" at="today">
    <x-slot:head><div class="heading">
        <h1>Today</h1><span class="of">{{ now(App\Wording\LocalTime::zone())->format('l j F Y') }}</span></div>
        </x-slot:head>
    @if ($news->isNotEmpty())
        <section class="mb-7"><div class="flex flex-wrap items-baseline gap-x-5 mb-2"><h2>New for you</h2>
            <form class="ml-auto" method="post" action="{{ route('notices.update') }}">@csrf<button class="link">take all as read</button></form>
            <a href="{{ route('notices.index') }}">all so far</a></div>
            <ul class="sheet">@foreach ($news as $one)
                <li class="notice-line"><a class="font-bold" href="{{ route('notices.show', $one) }}">{{ $one->title }}</a>
                    <span class="quiet small">{{ $one->assignment?->module->code }}</span>
                    <span class="quiet small ml-auto whitespace-nowrap">{{ $one->when() }}</span></li>
            @endforeach</ul></section>
    @endif
    @php([$waiting, $other] = collect($items)->partition(fn ($item) => $item->needsYou))
    @if ($items === [])
        <x-empty title="Nothing here yet">
            @if ($person->is_admin)Make a module under <a href="{{ route('modules.index') }}">Modules</a>
            and name its coordinator.
            @elseif ($person->coordinatesAny())Open your module under <a href="{{ route('modules.index') }}">Modules</a>
            and plan an assignment.
            @elseif ($person->memberships->contains(fn ($membership) => $membership->role === App\Enums\Role::Examiner
                && $membership->left_at === null))An assignment of your modules is listed here once its scripts are with markers.
            @else When an assignment needs you, it is listed here.@endif
        </x-empty>
    @else
        <h2 class="mb-2">{{ $waiting->isEmpty() ? 'Nothing waits for you' : 'Waiting for you' }}</h2>
        @foreach ([[$waiting, true], [$other, false]] as [$list, $needs])
            @if ($list->isNotEmpty())
                @unless ($needs)<h2 class="mt-7 mb-2">Under way</h2>@endunless
                <div class="sheet scroll"><table class="table stacked">
                    <tbody>
                        @foreach ($list as $item)
                            <tr>
                                <td class="w-8">@if ($needs)
                                <svg width="14" height="16" viewBox="0 0 14 16" aria-label="needs you" role="img">
                                    <path class="flag" d="M2 15 V1 L13 5 L2 9" /></svg>@endif</td>
                                <td><a class="font-bold"
                                    href="{{ $item->page() }}">{{ $item->about->title }}</a><br><span
                                    class="quiet small">{{ $item->about->module->fullTitle() }}</span></td>
                                <td>{{ $item->what }}</td>
                                <td class="quiet small whitespace-nowrap">@if ($item->by){{ $item->byWhat }}
                                {{ $item->byWhat === 'promised' ? App\Wording\LocalTime::day($item->by)
                                    : App\Wording\LocalTime::shown($item->by) }}@endif</td>
                                <td class="num whitespace-nowrap"><a class="{{ $needs ? 'font-bold' : '' }}"
                                    href="{{ $item->link }}">{{ $item->step }}</a></td>
                            </tr>
                        @endforeach
                    </tbody>
                </table></div>
            @endif
        @endforeach
    @endif
</x-page>

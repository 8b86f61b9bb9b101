@use('App\Queries\Find')
<x-page :title="__('find.title')" at="find">
    <x-slot:head><div class="heading"><h1>{{ __('find.title') }}</h1></div></x-slot:head>
    <form class="flex gap-3 mb-4 max-w-[46rem]" method="get" action="{{ route('find') }}" role="search">
        <label class="sr-only" for="f-q">{{ __('find.field') }}</label>
        <input class="input" id="f-q" type="search" name="q" value="{{ $words }}" placeholder="{{ __('find.field') }}"
            maxlength="100" @if ($words === '') autofocus @endif>
        <button class="button primary">{{ __('find.title') }}</button></form>
    @if ($words === '')<p class="quiet small">{{ __('find.apart') }}</p>
    @elseif (mb_strlen($words) < Find::LEAST)<p class="quiet">{{ __('find.few') }}</p>
    @elseif ($found === [])<x-empty :title="__('find.none', ['words' => $words])">{{ __('find.none_why') }}</x-empty>
    @else
        @foreach ($found as $kind => $list)
            <section class="mb-5"><h2 class="mb-1">{{ __("find.{$kind}") }}</h2>
                <ul class="sheet px-4 py-1">@foreach (array_slice($list, 0, Find::MOST) as $one)
                    <li class="py-1 flex flex-wrap gap-x-4"><a class="font-bold {{ $kind === 'scripts' ? 'code' : '' }}"
                        href="{{ $one['link'] }}">{{ $one['what'] }}</a><span class="quiet">{{ $one['of'] }}</span></li>
                @endforeach</ul>
                @if (count($list) > Find::MOST)<p class="quiet small mt-1">{{ __('find.more') }}</p>@endif</section>
        @endforeach
    @endif
</x-page>

@php
    use YoungHarbor\Core\Text\LightMarkup;
    $comments = $d['comments'] ?? [];
    $onPages = $text === null ? [] : array_values(array_filter($text->elsewhere, fn ($one) => $one['page'] !== null));
    $orphans = $text === null ? $comments
        : array_values(array_filter($text->elsewhere, fn ($one) => $one['page'] === null));
@endphp
@if ($text !== null)
    <section class="mb-6" id="text"><h2 class="mb-1">{{ __('release.your_text') }}
        @if ($comments !== [])<span class="quiet font-normal">{{
            trans_choice('mark.comments_on_script', count($comments)) }}</span>@endif</h2>
        <p class="quiet small mb-2">{{ __('release.your_text_how') }}
        {{ $comments === [] ? '' : __('release.your_text_numbers') }}</p>
        <article class="text sheet result-text" dir="auto">@foreach ($text->blocks as $block)
            @if ($block['comments'] === [])<div class="plain">{!! $block['html'] !!}</div>
            @else<div class="noted"><div>{!! $block['html'] !!}</div><div class="flex flex-col gap-3" dir="ltr">
                @foreach ($block['comments'] as $one)@include('release.comment')@endforeach</div></div>@endif
        @endforeach</article>
        @if ($onPages !== [])
            <h3 class="mt-5 mb-1">{{ __('release.on_pages') }}</h3>
            @foreach ($text->files as $file)
                @php($here = array_values(
                    array_filter($onPages, fn ($one) => (int) ($one['anchor']['file'] ?? 1) === $file['number'])))
                @if ($here !== [] && $pages !== null)
                    <div class="result-pages mb-3" data-result-pages="{{ json_encode(['url' => $pages($file['number']),
                        'notes' => array_map(fn ($one) => ['number' => $one['number'], 'key' => $one['key'],
                            'anchor' => $one['anchor'],
                        'label' => __('release.comment_label', ['number' => $one['number'], 'kind' => $one['kind']])],
                            $here)]) }}">
                        <p><button class="button" type="button" data-show-pages>{{ __('release.show_pages') }}</button>
                            <span class="quiet" data-message role="status"></span></p></div>
                @endif
            @endforeach
            @foreach ($onPages as $one)<div class="mb-3">@include('release.comment')</div>@endforeach
        @endif
        @if ($orphans !== [])
            <h3 class="mt-5 mb-1">{{ __('release.without_place') }}</h3>
            @foreach ($orphans as $one)<div class="mb-3">
                @include('release.comment', ['quoted' => true])</div>@endforeach
        @endif
        @if (count($comments) > 1)
            <details class="fold mt-4"><summary><b>{{ __('release.as_list') }}</b></summary>
                <ol>@foreach ($comments as $one)
                <li class="mb-3">@include('release.comment', ['place' => false, 'back' => true, 'quoted' => true])</li>
                @endforeach</ol></details>
        @endif
    </section>
@elseif ($comments !== [])
    <section><h2 class="mb-2">{{ __('release.your_text') }}</h2>
        @foreach ($comments as $one)<div class="mb-3">@include('release.comment', ['quoted' => true])</div>@endforeach
        </section>
@endif

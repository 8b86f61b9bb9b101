<div class="note-card" @if ($place ?? true) id="comment-{{ $one['number'] }}" @endif
    data-comment="{{ $one['id'] ?? '' }}">
    <p class="small"><b>{{ $one['number'] }} {{ $one['kind'] }}</b>@if ($one['criterion'])
        <span class="quiet">· {{ $one['criterion'] }}</span>@endif
        @if ($one['page'])<span class="quiet">· page {{ $one['page'] }}</span>@endif
        @if (($back ?? false) && $one['quote'])<a class="small"
            href="#place-{{ $one['number'] }}">{{ __('release.to_place') }}</a>@endif</p>
    @if (($quoted ?? false) && $one['quote'])<p class="quiet font-text small"
        dir="auto">“{{ Str::limit(Str::squish($one['quote']), 240) }}”</p>@endif
    <div class="said" dir="auto">{!! YoungHarbor\Core\Text\LightMarkup::html($one['body']) !!}</div>
    @if ($own && ($place ?? true))@include('release.own-thread', ['about' => "comment:{$one['id']}"])@endif
</div>

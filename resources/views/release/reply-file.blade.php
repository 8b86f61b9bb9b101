@if ($reply->file_path !== null)
    @can('readFile', [$reply->thread, $reply])
        @if ($reply->isSound())<audio class="w-full mt-1" controls data-speed preload="none"
            src="{{ route('replies.file', $reply) }}"></audio>
        @else<p class="mt-1"><a href="{{ route('replies.file', $reply) }}">{{ $reply->file_name }}</a></p>@endif
    @else @include('release.attached', ['on' => $reply])@endcan
@endif

@if ($reply->file_path !== null)
    @can('readFile', [$reply->thread, $reply])
        @if ($reply->isSound())<audio class="w-full mt-1" controls preload="none"
            src="{{ route('replies.file', $reply) }}"></audio>
        @else<p class="mt-1"><a href="{{ route('replies.file', $reply) }}">{{ $reply->file_name }}</a></p>@endif
    @else<p class="quiet small mt-1">{{ __('replies.attached_waits') }}</p>@endcan
@endif

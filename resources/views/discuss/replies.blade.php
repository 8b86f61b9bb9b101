@foreach ($replies as $post)
    @include('discuss.post')
@endforeach
@php($last = (int) ($replies->max('place') ?? 0))
@if ($thread->replies > $last)
    <button class="link small" type="button" data-more-replies hx-get="{{ route('posts.replies', [$thread, 'after' => $last]) }}"
        hx-swap="outerHTML">{{ trans_choice('discuss.more_replies', $thread->replies - $last) }}@if ($unread > 0), {{ trans_choice(
        'discuss.new', $unread) }}@endif</button>
@endif
<button class="link small" type="button" data-new-replies data-after="{{ $last }}"
    data-from="{{ route('posts.replies', $thread) }}" hidden></button>

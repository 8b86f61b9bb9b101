@props(['title'])
<div class="panel empty max-w-2xl">
    <h2>{{ $title }}</h2>
    <div class="quiet mt-1">{{ $slot }}</div>
</div>

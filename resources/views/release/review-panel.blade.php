@php
    use App\Wording\LocalTime;
    $until = $result->reviewUntil();
@endphp
@if ($review !== null)
    <section class="panel mb-4" id="review"><h2 class="mb-1">{{ __('reviews.title') }}</h2>
        <p>{{ ucfirst(__("reviews.state.{$review->state->value}", ['by' => LocalTime::day($review->answer_by)])) }}.</p>
        @if ($review->answer !== '')<p class="whitespace-pre-line mt-2" dir="auto">{{ $review->answer }}</p>@endif
        @if ($own)<details class="mt-2"><summary class="link small">What you wrote</summary><p class="small quiet">{{
            $review->ground->label() }}, {{ LocalTime::shown($review->created_at) }}</p>
            <p class="small whitespace-pre-line" dir="auto">{{
            $review->text }}</p>@if ($review->file_path)<a class="small"
                href="{{ route('reviews.file', $review) }}">{{ $review->file_name }}</a>@endif</details>
        @else<p class="mt-2"><a href="{{ route('reviews.show', $review) }}">Open the review</a></p>@endif</section>
@elseif ($own && $until !== null && $result->replaced_at === null)
    @if ($until->isFuture())
        <section class="panel mb-4 no-print" id="review">
            <details @if ($errors->hasAny(['ground', 'text', 'file'])) open @endif>
            <summary class="link">{{ __('reviews.ask') }}</summary>
            <p class="quiet small my-2">{{ __('reviews.until', ['until' => LocalTime::shown($until)]) }}</p>
            <form method="post" action="{{ route('reviews.store', $result) }}" enctype="multipart/form-data">@csrf
                <x-choice name="ground" label="Why"
                    :options="['' => 'Choose'] + collect(App\Enums\ReviewGround::cases())
                    ->mapWithKeys(fn ($one) => [$one->value => $one->label()])->all()" />
                <x-field name="text" label="What is to be looked at" rows="6" maxlength="10000" />
                <div class="field"><label class="label" for="f-file">A file, if it helps</label><input class="input"
                    id="f-file" type="file"
                    name="file">@error('file')<p class="error">{{ $message }}</p>@enderror</div>
                <div class="flex justify-end">
                    <button class="button">Ask for it</button></div></form></details></section>
    @else<p class="quiet small mt-3 mb-4">{{ __('reviews.over', ['until' => LocalTime::shown($until)]) }}</p>@endif
@endif

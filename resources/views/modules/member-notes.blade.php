@use('App\Wording\LocalTime')
<section class="panel mb-4" id="notes"><h2 class="mb-1">{{ __('member-notes.title') }}</h2>
    @foreach ($notes as $note)
        <div class="mb-3 {{ $note->taken_back_at ? 'quiet' : '' }}"><p class="whitespace-pre-line" dir="auto">{{ $note->body }}</p>
            <p class="quiet small">{{ $note->author->name }}, {{ LocalTime::shown($note->created_at) }}; {{
                __('member-notes.who.'.($note->student_reads ? '1' : '0')) }}{{ $note->taken_back_at
                ? '; '.__('member-notes.is_back', ['at' => LocalTime::shown($note->taken_back_at)]) : '' }}</p>
            @unless ($note->taken_back_at)<form method="post" action="{{ route('member-notes.back', $note) }}">@csrf
                <button class="link small">{{ __('member-notes.take_back') }}</button></form>@endunless</div>
    @endforeach
    <form method="post" action="{{ route('members.note', $member) }}">@csrf
        <x-field name="note" label="A comment" rows="4" maxlength="5000" />
        <x-choice name="student_reads" label="Read by" :options="['0' => __('member-notes.who.0'), '1' => __('member-notes.who.1')]" value="0" />
        <div class="flex justify-end"><button class="button">Keep it</button></div></form></section>

@php($back = route('collect.index', [$assignment, ...$cohort->asked()]))
<x-page :title="'Write to students: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Collect" slim /></x-slot:head>
    <div class="flex flex-wrap items-baseline gap-x-5 mb-3">
        <h2>Write to {{ $students === 1 ? 'one student'
        : number_format($students).' students' }}</h2><span class="quiet">{{ $cohort->inWords() }}</span><a
        class="ml-auto" href="{{ $back }}">back to the list</a></div>
    @if ($students === 0)
        <x-empty title="Nobody is in this list">Choose another list under Collect.</x-empty>
    @else
        <div class="split">
            <form method="post" action="{{ route('messages.store', [$assignment, ...$cohort->asked()]) }}">@csrf
                @if ($previews && ($changed ?? false))<p class="notice refusal">
                    Nothing was sent: the list changed while you wrote. {{ $students === 1 ? 'One student is'
                    : number_format($students).' students are' }} in it now; look again and send.</p>@endif
                <x-field name="subject" label="Subject" :value="$subject" maxlength="200" required />
                <x-field name="body" label="What they read" rows="12" :value="$body" required
                    hint="Filled in for each: {name}, {first name}, {assignment}, {module}, {due}, {link}. Each gets a mail of their own, and answers come to you." />
                <div class="flex justify-end gap-3">
                    <button @class(['button', 'primary' => ! $previews])>
                        {{ $previews ? 'Preview again' : 'Preview before sending' }}</button>
                    @if ($previews)<input type="hidden" name="seen"
                        value="{{ $students }}"><button class="button primary" name="send"
                        value="1">Send to {{ $students === 1 ? 'one student'
                        : number_format($students).' students' }}</button>@endif
                </div>
            </form>
            <aside>
                @if ($previews)
                    <h2 class="mb-2">{{ $students > count($previews)
                        ? (count($previews) === 1 ? 'The first one'
                        : 'The first '.count($previews)).', as they will read it' : 'As they will read it' }}</h2>
                    @foreach ($previews as $preview)
                        <div class="panel mb-3"><p class="quiet small break-words">{{ $preview['to'] }}</p>
                        <p class="font-bold mb-2">{{ $preview['subject'] }}</p>
                        <p class="whitespace-pre-line break-words">{{ $preview['body'] }}</p></div>
                    @endforeach
                @elseif ($sent->isNotEmpty())
                    <h2 class="mb-2">Written before</h2>
                    @foreach ($sent as $message)
                        <details class="panel mb-3">
                            <summary><b>{{ $message->subject }}</b>
                            <span class="quiet small">{{ App\Wording\LocalTime::shown(
                                $message->created_at) }}, {{ $message->sender->name }}; {{ $message->recipients }}: {{ $message->shown }}</span>
                                </summary><p class="whitespace-pre-line mt-2">{{ $message->body }}</p></details>
                    @endforeach
                @else
                    <p class="quiet">Before anything is sent you see it as the first of them will read it.</p>
                @endif
            </aside>
        </div>
    @endif
</x-page>

@php($address = (string) config('harbor.detector.address'))
<x-page title="The outside detector" at="modules">
    <x-slot:head><div class="heading">
        <h1>The outside detector</h1><a class="of"
        href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a></div></x-slot:head>
    @if ($address === '')
        <x-empty title="None is set up">
            Nothing leaves this installation. Whoever runs it can connect a detector (docs/operations.md); each assignment then chooses for itself.
            </x-empty>
    @else
        <div class="grid lg:grid-cols-2 gap-6">
            <section class="panel"><h2 class="mb-2">What leaves the building</h2>
                <p class="mb-2">For each script of an assignment that turns it on, one request to
                <b>{{ parse_url($address, PHP_URL_HOST) }}</b>, when the script has been measured. In it:</p>
                <ul class="list-disc ml-5"><li>the text of the script as markers see it, without the author’s name</li>
                <li>the language of the baseline</li></ul>
                <p class="mt-2">Never: names, e-mail addresses, script codes, the file, the module, marks. Students are told before they hand in. Each request stands in the logbook. What the service does with a text is between it and your institution: read its contract.
                </p></section>
            <section class="panel"><h2 class="mb-2">What comes back</h2>
                <p>A number from 0 to 1, and how often the service says that it is wrong. An answer without error rates is not shown. It stands beside the writing signals as one more of them; nothing follows from it by itself, and it is never part of “past the alarm”.
                </p>
                <p class="mt-2">When it does not answer, or answers nonsense, the script says so; everything else stands as it is.
                </p></section>
            <section class="panel lg:col-span-2"><h2 class="mb-2">Assignments that use it</h2>
                @forelse ($assignments as $one)<p><a href="{{ route('writing.index', $one) }}">{{ $one->title }}</a>
                <span class="quiet small">what was handed in since {{ App\Wording\LocalTime::shown(
                    $one->writing_detector_since) }}: since then students have been told</span></p>
                    @empty<p class="quiet">None in this module. It is turned on under Plan, Writing signals.</p>
                    @endforelse</section>
        </div>
    @endif
</x-page>

<x-page :title="'Names in scripts: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::ShareOut" /></x-slot:head>
    @include('share-out.tabs', ['at' => 'names'])
    <div class="split">
        <div class="min-w-0">
            @unless ($names->isAny())
                <x-empty title="No name needs a decision">
                    Every script that has come in was looked through. Full names, numbers and e-mail addresses of authors are hidden in text, pages and pictures. What only you can decide will be listed here.
                    </x-empty>
            @endunless
            @if ($names->waiting > 0)
                <p class="notice" role="status">
                    {{ $names->waiting === 1 ? '1 script is' : number_format($names->waiting).' scripts are' }}
                    still being looked through. <a href="{{ route('names.index', $assignment) }}">Look again</a></p>
            @endif
            @if ($names->alone->isNotEmpty())
                <h2 class="mb-1">A family name that stands alone</h2>
                <p class="quiet mb-3">The author has this family name, and so may a source. It was left where it stands. Here it is left blank, so that you judge how it is used and do not learn whose script it is.
                </p>
                @foreach ($names->alone as $script)
                    @php($around = App\Queries\ShareOut\NamesToCheck::around($script->currentHandin))
                    <section class="sheet px-4 py-3 mb-3">
                        <div class="flex flex-wrap items-baseline gap-x-4">
                            <h3 class="code">{{ $script->code }}</h3><span class="quiet small">{{ count($around) === 1
                            ? 'once' : count($around).' times' }}</span></div>
                        <ul class="my-2">@foreach (array_slice($around, 0, 5) as $words)
                        <li class="text-sm py-0.5">{{ $words }}</li>@endforeach</ul>
                        @if (count($around) > 5)<details class="mb-2">
                            <summary class="link small">{{ count($around) - 5 }} more</summary>
                            <ul>@foreach (array_slice($around, 5) as $words)<li class="text-sm py-0.5">{{ $words }}</li>
                            @endforeach</ul></details>@endif
                        <form class="flex flex-wrap gap-2 justify-end" method="post"
                            action="{{ route('names.decide', $script) }}">@csrf
                            <button class="button" name="what" value="hide">Hide it in this script</button>
                            <button class="button" name="what" value="leave">It is a source: leave it</button>
                        </form>
                    </section>
                @endforeach
            @endif
            @if ($names->failed->isNotEmpty())
                <h2 class="mt-5 mb-1">Not looked through</h2>
                <p class="quiet mb-3">A name may be seen in what stands in these pictures. Ask the student for a file with text, have a marker take it who does not know the cohort, or decide that it can go out as it is. The original opens from the student’s page, with a reason.
                </p>
                <div class="sheet scroll"><table class="table">
                    <thead><tr><th>Script</th><th>What</th></tr></thead>
                    <tbody>@foreach ($names->failed as $script)<tr><td class="code">{{ $script->code }}</td>
                    <td>{{ App\Queries\ShareOut\NamesToCheck::why($script->currentHandin) }}</td></tr>@endforeach
                    </tbody>
                </table></div>
                <form class="flex justify-end mt-3" method="post" action="{{ route('names.again', $assignment) }}">
                    @csrf<button class="button">Look through them again</button></form>
            @endif
        </div>
        <aside class="panel self-start">
            <h2 class="mb-2">How names are hidden</h2>
            <p class="small mb-2">What markers read and take away is written anew from the text alone. Nothing else of the file goes along: no properties, comments, changes, headers, dates, fonts or links that lead somewhere.
            </p>
            <p class="small mb-2">Pages of a PDF are drawn as pictures, and the words that name an author are painted over first. Pages without text, the first two of each PDF, and pictures in documents are also read by sight.
            </p>
            <p class="small mb-2">What sight misses: handwriting, letters of other alphabets in pictures, a face, a signature.
            </p>
            @unless ($sight)<p class="small signal mb-2">
                Reading by sight is not installed here (tesseract), so names in pictures stay.</p>@endunless
            @unless ($caged)<p class="small signal">
                Files are read without a cage here (bubblewrap); tell whoever runs this installation.</p>@endunless
        </aside>
    </div>
</x-page>

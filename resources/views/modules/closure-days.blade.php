<x-page title="Closure days" at="modules">
    <x-slot:head><div class="heading">
        <h1>Closure days</h1><a class="of"
        href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a></div></x-slot:head>
    <div class="split">
        <form method="post" action="{{ route('closure-days.store', $module) }}">@csrf
            <x-field name="lines" label="A line each" rows="14" :value="$lines"
                placeholder="2026-12-24 to 2027-01-01 Winter closure"
                hint="A day as 2026-12-25, or days as 2026-12-24 to 2027-01-01, and then a name." />
            <div class="flex justify-end"><button class="button primary">Save</button></div>
        </form>
        <aside class="panel self-start">
            <h2 class="mb-2">What they do</h2>
            <p class="mb-2">An assignment can leave closure days and weekends out when it counts how late work is: the clock stands still from midnight to midnight.
            </p>
            <p>Extra days that a student is allowed never end on a weekend or a closure day: the due time moves on to the next day that is neither, at the same time of day.
            </p>
        </aside>
    </div>
</x-page>

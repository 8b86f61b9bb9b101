<x-page :title="$scale?->name ?? 'New grade bands'" at="modules">
    <x-slot:head><div class="heading">
        <h1>{{ $scale?->name ?? 'New grade bands' }}</h1><a class="of"
        href="{{ route('bands.index', $module) }}">Grade bands of {{ $module->fullTitle() }}</a></div></x-slot:head>
    <form class="max-w-3xl" method="post"
        action="{{ $scale ? route('bands.update', $scale) : route('bands.store', $module) }}">
        @csrf
        @if ($scale)@method('put')<input type="hidden" name="lock_version" value="{{ $scale->lock_version }}">@endif
        <x-field name="name" label="Name" :value="$document['name'] ?? ''" required />
        <x-choice name="boundary" label="At a boundary"
            :options="collect(YoungHarbor\Core\Marks\BoundaryRule::cases())
            ->mapWithKeys(fn ($rule) => [$rule->value => __('plan.boundary.'.$rule->value)])->all()"
            :value="$document['boundary'] ?? 'as-it-stands'" />
        <p class="quiet small mb-2">
            A line a band; empty lines are left out. The lowest begins at 0. “Stands for” is the mark a band is turned into, and lies in it; it may stay empty.
            </p>
        <table class="table sheet mb-4">
            <thead><tr><th>Band</th><th>From</th><th>Stands for</th></tr></thead>
            <tbody>
                @foreach (old('bands', $rows) as $i => $row)
                    <tr><td><input class="input" name="bands[{{ $i }}][name]" value="{{ $row['name'] ?? '' }}"
                        aria-label="Name of band {{ $loop->iteration }}"></td>
                        <td class="w-32"><input class="input num" name="bands[{{ $i }}][from]"
                            value="{{ $row['from'] ?? '' }}" inputmode="decimal"
                            aria-label="Lowest mark of band {{ $loop->iteration }}"></td>
                        <td class="w-32"><input class="input num" name="bands[{{ $i }}][value]"
                            value="{{ $row['value'] ?? '' }}" inputmode="decimal"
                            aria-label="Mark that band {{ $loop->iteration }} stands for"></td></tr>
                @endforeach
            </tbody>
        </table>
        <div class="flex justify-end gap-3"><a class="button"
            href="{{ route('bands.index', $module) }}">Leave it</a><button class="button primary">
            Save the bands</button></div>
    </form>
</x-page>

<x-page :title="'A newer rubric: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Plan" slim /></x-slot:head>
    @if ($to === null)
        <x-empty title="The newest version is in use">
            When a newer version of this rubric is made ready, this page shows what it changes.
            <a href="{{ route('plan.edit', $assignment) }}">Back to the plan</a></x-empty>
    @else
        <h2 class="mb-1">From version {{ $from->number }} to version {{ $to->number }}
        of “{{ $to->rubric->title }}”</h2>
        <p class="quiet mb-3">Nothing has changed yet.</p>
        @include('plan.rubric-changes', ['rows' => $changes])
        <h2 class="mt-8 mb-2">Marks that are begun</h2>
        @if ($marks['rows'] === [])
            <p class="quiet">None would change. {{ $marks['stays'] > 0
                ? $marks['stays'].' are agreed or released and stay as they are.' : '' }}</p>
        @elseif (! $maySee)
            <p>{{ count($marks['rows']) }}
            marks would go over. You are marking here yourself, so what others gave stays hidden from you until your own marks are done.
            </p>
        @else
            <div class="sheet scroll max-w-4xl"><table class="table">
                <thead><tr><th>Script</th><th>Mark</th><th class="num">Now</th><th class="num">Would be</th>
                <th class="num">Difference</th><th></th></tr></thead>
                <tbody>
                    @foreach ($marks['rows'] as $row)
                        <tr><td class="code">{{ $row['code'] }}</td><td>{{ $row['part'] }}</td>
                        <td class="num">{{ $row['before'] }}</td><td class="num">{{ $row['after'] }}</td>
                        <td class="num font-bold">{{ $row['difference'] }}</td>
                            <td class="small">@if ($row['lost'] !== [])<span class="signal">no place for {{ implode(
                                ', ', $row['lost']) }}</span>@endif
                                @if ($row['opens'])<span class="quiet">would be open again</span>@endif</td></tr>
                    @endforeach
                </tbody>
            </table></div>
            <p class="quiet small mt-2">{{ $marks['stays'] }}
            agreed or released {{ $marks['stays'] === 1 ? 'mark stays' : 'marks stay' }}
            as they are; {{ $marks['open'] }} not begun {{ $marks['open'] === 1 ? 'uses' : 'use' }}
            the newer version.</p>
        @endif
        <form class="mt-6 max-w-3xl" method="post" action="{{ route('plan.rubric.update', $assignment) }}">
            @csrf
            <input type="hidden" name="to" value="{{ $to->number }}">
            <fieldset>
                <legend class="label">What happens to marks that are begun</legend>
                @foreach (App\Actions\Plan\ChangeAssignmentRubric::CHOICES as $key => $words)
                    <label class="flex items-baseline gap-2 mb-1"><input type="radio" name="marks" value="{{ $key }}"
                        @checked(old('marks') === $key)> <span>{{ ucfirst($words) }}</span></label>
                @endforeach
            </fieldset>
            <p class="quiet small mt-2">
                Students are written to, and the logbook keeps the choice and every mark that changes.</p>
            <div class="flex justify-end gap-3 mt-3"><a class="button"
                href="{{ route('plan.edit', $assignment) }}">Leave it as it is</a><button class="button primary">
                Use version {{ $to->number }}</button></div>
        </form>
    @endif
</x-page>

@php($candidates = ! $ofStaff && $list->contains(fn ($member) => $member->candidate_number !== null))
<div class="sheet scroll mb-6"><table class="table stacked">
    <thead><tr><th>Name</th><th>E-mail address</th>@unless ($ofStaff)<th>Number</th>
    @if ($candidates)<th>Candidate number</th>@endif<th>Section</th>@endunless<th></th></tr></thead>
    <tbody>
        @foreach ($list as $member)
            @php($allowance = $allowances[$member->user_id] ?? null)
            <tr><td>@if ($admin){{ $member->user->name }}@else<a href="{{ route('members.show',
                $member) }}">{{ $member->user->name }}</a>@endif</td><td>{{ $member->user->email }}</td>
                @unless ($ofStaff)<td>{{ $member->user->number }}</td>
                @if ($candidates)<td>{{ $member->candidate_number }}</td>@endif<td>{{ $member->section }}</td>@endunless
                <td>@if ($member->left_at)<span class="quiet">left {{ App\Wording\LocalTime::day(
                    $member->left_at) }}</span>@elseif ($allowance
                    && ! $admin)<span class="small">{{ $allowance->inWords() }}</span>@elseif ($member->user->joined_at === null)<span
                    class="quiet small">no password yet</span>@endif</td></tr>
        @endforeach
    </tbody>
</table></div>

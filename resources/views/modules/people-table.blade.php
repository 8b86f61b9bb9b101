<div class="sheet scroll mb-6"><table class="table stacked">
    <thead><tr><th>Name</th><th>Mail address</th><th>Number</th><th>Section</th><th></th></tr></thead>
    <tbody>
        @foreach ($list as $member)
            @php($allowance = $allowances[$member->user_id] ?? null)
            <tr><td>@if ($admin){{ $member->user->name }}@else<a href="{{ route('members.show', $member) }}">{{ $member->user->name }}</a>@endif</td><td>{{ $member->user->email }}</td><td>{{ $member->user->number }}</td><td>{{ $member->section }}</td><td>@if ($member->left_at)<span class="quiet">left {{ App\Support\Clock::day($member->left_at) }}</span>@elseif ($allowance && ! $admin)<span class="small">{{ $allowance->inWords() }}</span>@endif</td></tr>
        @endforeach
    </tbody>
</table></div>

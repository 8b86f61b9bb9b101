@if ($cell['mark'] !== null)<a class="font-bold"
    href="{{ route('results.show', $cell['result']) }}">{{ $cell['mark'] }}</a>
    <span class="quiet">{{ $cell['band'] }}</span>@if ($cell['late'])<span class="quiet small"> late</span>@endif
    @if ($cell['unread'])<br><span class="quiet small">not opened yet</span>@endif
@elseif ($cell['result'] !== null)<a href="{{ route('results.show',
    $cell['result']) }}">{{ $cell['state'] }}</a>@if ($cell['unread'])<br><span
    class="quiet small">not opened yet</span>@endif
@else
    @php
        $place = $cell['script'] !== null ? route('moderate.show', $cell['script'])
            : route('members.show', $member)."#a-{$assignment->public_id}";
    @endphp
    <a class="plain-link {{ $cell['missing'] ? 'signal' : 'quiet' }}" href="{{ $place }}"><x-state-shape
        :standing="$cell['standing']" />
        {{ $cell['state'] }}</a>@if ($cell['late'] && $cell['standing']->value !== 'handed-in')<span
        class="quiet small"> late</span>@endif
@endif

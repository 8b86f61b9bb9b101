@if ($result !== null)
    @php
        $all = count($d['comments'] ?? []);
        $minutes = intdiv($result->seconds_open, 60);
    @endphp
    <p class="quiet small mt-4 no-print">@if ($result->first_opened_at === null){{ __('release.record_none') }}
        @else{{ trans_choice($own ? 'release.record_own' : 'release.record', $result->openings,
            ['count' => $result->openings,
            'first' => App\Wording\LocalTime::shown($result->first_opened_at)]) }}
            {{ $all === 0 ? '' : __('release.record_seen', ['seen' => $seen, 'all' => $all]) }}
            {{ $minutes === 0 ? '' : trans_choice('release.record_minutes', $minutes, ['count' => $minutes]) }}
            {{ $own ? __('release.record_who') : '' }}@endif</p>
@endif

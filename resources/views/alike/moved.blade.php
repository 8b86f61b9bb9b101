@php
    use YoungHarbor\Core\Figures\Figure;
    $moved = $preview->moved();
    $up = count(array_filter($moved, fn ($one) => $one['crosses'] > 0));
    $down = count(array_filter($moved, fn ($one) => $one['crosses'] < 0));
    $changes = count(array_filter($moved, fn ($one) => $one['before']->band->name !== $one['after']->band->name));
    $touched = $preview->touched();
    $clipped = count(array_filter($touched, fn ($one) => $one['clipped']));
    $bands = $preview->bands($assignment);
    $most = max([1, ...array_map(fn ($one) => max($one['before'], $one['after']), $bands)]);
@endphp
<p class="mb-1">{{ trans_choice('corrections.moved', count($moved), ['count' => count($moved)]) }}
    <span @class(['font-bold' => $up + $down > 0])>{{ trans_choice('corrections.crosses', $up + $down, [
        'count' => $up + $down, 'up' => $up, 'down' => $down]) }}</span>
    {{ trans_choice('corrections.bands', $changes, ['count' => $changes]) }}
    @if ($clipped > 0){{ trans_choice('corrections.clipped', $clipped, ['count' => $clipped]) }}@endif
    {{ $preview->orderKept ? __('corrections.order_kept') : __('corrections.order_changed') }}</p>
@if ($preview->open > 0)<p class="quiet small mb-2">{{ trans_choice('corrections.open', $preview->open, ['count' => $preview->open]) }}</p>@endif
@if ($touched !== [])
    <div class="sheet scroll mb-3"><table class="table">
        <thead><tr><th>Band</th><th class="num">Before</th><th class="num">After</th><th></th></tr></thead>
        <tbody>@foreach ($bands as $name => $one)
            <tr><td>{{ $name }}</td><td class="num">{{ $one['before'] }}</td><td class="num font-bold">{{ $one['after'] }}</td>
                <td><svg viewBox="0 0 200 16" class="w-[100px] sm:w-[200px]" aria-hidden="true">
                <rect class="bar-rest" x="0.5" y="1" height="6"
                    width="{{ round(198 * $one['before'] / $most, 1) }}" /><rect class="bar-part" x="0" y="9" height="6"
                    width="{{ round(198 * $one['after'] / $most, 1) }}" /></svg></td></tr>
        @endforeach</tbody></table></div>
    <div class="sheet scroll"><table class="table">
        <thead><tr><th>Script</th><th class="num">Before</th><th class="num">After</th><th>Band before</th><th>Band after</th><th></th></tr></thead>
        <tbody>@foreach ($touched as $one)
            <tr><td class="code">{{ $one['code'] }}</td><td class="num">{{ $one['before']->mark }}</td><td
                class="num font-bold">{{ $one['after']->mark }}</td><td>{{ $one['before']->band->name }}</td>
                <td @class(['font-bold' => $one['before']->band->name !== $one['after']->band->name])>{{ $one['after']->band->name }}</td>
                <td class="small">{{ implode(', ', array_filter([
                    $one['crosses'] > 0 ? 'now passes' : ($one['crosses'] < 0 ? 'no longer passes' : ''),
                    $one['clipped'] ? 'held at the end of the scale' : ''])) }}</td></tr>
        @endforeach</tbody></table></div>
    <p class="hint mt-1">Results as they would be released: after lateness and length, rounded.@if ($assignment->leavesOutWhatIsKnownByName()) {{ __('contribution.left_out') }}@endif</p>
@endif

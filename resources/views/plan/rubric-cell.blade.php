{{-- One cell of the sheet: what the view of the moment shows of it. --}}
@php
    $lid = $level['id'];
    $unused = $draft->get("criteria.{$id}.unused.{$lid}") !== '';
    $points = $draft->get("criteria.{$id}.overrides.{$lid}");
    $text = $cells === 'points' ? '' : $draft->get("criteria.{$id}.{$cells}.{$lid}");
@endphp
@if ($cells === 'points')
    @php($isRange = isset($level['upto']))
    @unless ($unused || ($isRange && $points === ''))<input class="num"
        name="criteria[{{ $id }}][overrides][{{ $lid }}]" value="{{ $points }}" aria-label="Own points: {{ $place }}"
        placeholder="{{ YoungHarbor\Core\Rubric\Draft::pointsText($level) ?: 'points' }}" inputmode="decimal"
        data-col="{{ $col }}">@endunless
    @if ($isRange && $points === ''
        && ! $unused)<span class="quiet small">{{ YoungHarbor\Core\Rubric\Draft::pointsText($level) }}</span>@endif
    <label class="small quiet block mt-1"><input type="hidden" name="criteria[{{ $id }}][unused][{{ $lid }}]"
        value=""><input type="checkbox" name="criteria[{{ $id }}][unused][{{ $lid }}]" value="1" @checked($unused)
        aria-label="Not used: {{ $place }}" data-reshapes> not used</label>
@elseif ($unused)
    <span class="quiet small">not used</span>
@else
    <textarea class="small" rows="{{ max(2, $rows($text, 26)) }}" name="criteria[{{ $id }}][{{ $cells }}][{{ $lid }}]"
        aria-label="{{ $cells === 'descriptors' ? 'Descriptor' : 'Guidance' }}: {{ $place }}"
        placeholder="{{ $cells === 'descriptors' ? 'descriptor' : 'to reach the next level' }}"
        data-col="{{ $col }}">{{ $text }}</textarea>
    @if ($points !== '')<span class="quiet small">{{ $points }} points here</span>@endif
@endif

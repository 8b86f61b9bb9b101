{{-- How alike peers mark the same work. --}}
@php
    use YoungHarbor\Core\Peers\AmongReviewers;
    $said = fn (float $one): string => sprintf('%.2F', $one);
@endphp
<h2 class="mb-1">Peers beside each other</h2>
@if ($among->apart === null)
    <p class="quiet mb-5">{{ trans_choice('peers.among_few', $among->works,
        ['least' => AmongReviewers::LEAST]) }}</p>
@else
    <p class="mb-1">{{ __('peers.among_apart', ['works' => $among->works, 'marks' => sprintf('%.1F', $among->apart)]) }}
    @if ($among->alpha !== null){{ $among->alpha <= 0 ? __('peers.among_chance', ['alpha' => $said($among->alpha)])
        : __('peers.among_alpha', ['of' => round(100 * $among->alpha), 'alpha' => $said($among->alpha)]) }}
    {{ $among->interval === null
        ? __('peers.among_no_interval', ['least' => AmongReviewers::LEAST_FOR_INTERVAL])
        : __('peers.among_interval', ['low' => $said($among->interval[0]),
            'high' => $said($among->interval[1])]) }}@endif</p>
    <p class="quiet small mb-5">{{ __('peers.among_cannot') }}</p>
@endif

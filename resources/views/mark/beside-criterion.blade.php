{{-- What other markers set on a criterion, beside a mark of one's own. --}}
@php
    use YoungHarbor\Core\Figures\Figure;
    use YoungHarbor\Core\Rubric\CommentCriterion;
    use YoungHarbor\Core\Rubric\MarkForm;
@endphp
@foreach ($beside as $other)
    @php
        $theirs = $other->choices->on($criterion->id());
        $points = $theirs->isUnset() || $theirs->notApplicable ? null : $criterion->points($theirs);
        $said = $theirs->isUnset() ? '' : MarkForm::inWords($criterion, $theirs);
    @endphp
    <div class="mt-1 pl-3 border-l-3 border-rule small">
        <b>{{ ucfirst(__("mark.seat.{$other->seat->value}")) }}:</b>
        @unless ($criterion instanceof CommentCriterion){{ $points === null ? '' : Figure::plain($points) }}{{
            $points !== null && $said !== '' ? ', ' : '' }}{{ $said }}@endunless
        @if ($theirs->comment !== '')<span class="block whitespace-pre-line quiet"
            dir="auto">{{ $theirs->comment }}</span>@endif
    </div>
@endforeach

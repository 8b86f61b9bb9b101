@php use App\Wording\AlikeWords; @endphp
<div class="sheet scroll"><table class="table stacked">
    <thead><tr><th>What</th><th class="num">Figure</th><th>95 times in 100</th><th>What it says</th></tr></thead>
    <tbody>@foreach (AlikeWords::coefficients($figures) as $row)
        <tr><td>{{ $row['title'] }}</td><td class="num font-bold" data-label="Figure">{{ $row['figure'] }}</td>
            <td class="whitespace-nowrap quiet" data-label="95 times in 100">{{ $row['interval'] }}</td>
            <td class="small">{{ $row['says'] }}</td></tr>
    @endforeach</tbody></table></div>
<p class="hint mt-1 max-w-[46rem]">1 is full agreement, 0 what chance gives. Intervals: kappas and alpha by linearisation on Fisher’s z, intraclass
    correlations by F; how often they hold was simulated (the manual, Moderation). More scripts make the ranges narrower; only marking more
    alike makes the figures higher.</p>

<div id="screen-table" class="sheet scroll" @if ($working) hx-get="{{ route('screen.index', $assignment) }}" hx-trigger="load delay:1500ms" hx-swap="outerHTML" @endif>
    @if ($working)<p class="px-3 py-2 quiet" role="status">{{ $states['ready'] ?? 0 }} of {{ $scripts->count() }} compared; this page keeps itself up to date.</p>@endif
    <table class="table">
        <thead><tr><th>Script</th><th class="num">Words</th><th>Overlap</th><th class="num">Share</th><th class="num">Words in common</th><th class="num">Runs</th><th>State</th></tr></thead>
        <tbody>
            @foreach ($scripts as $script)
                @php($report = $script->currentHandin->report)
                <tr>
                    <td><a class="code" href="{{ route('screen.show', $script) }}">{{ $script->code }}</a></td>
                    <td class="num">{{ number_format($script->currentHandin->words) }}</td>
                    @if ($report?->state === App\Enums\ReportState::Ready)
                        <td><x-staff :share="$report->share" /></td>
                        <td class="num font-bold">{{ $report->share }} %</td>
                        <td class="num">{{ number_format($report->matched) }}</td>
                        <td class="num">{{ $report->runs_count }}</td>
                        <td>@if ((float) $report->share >= (float) config('harbor.overlap.look_closely'))<span class="signal whitespace-nowrap"><svg class="inline" width="11" height="12" viewBox="0 0 12 12" aria-hidden="true"><path d="M2 1 V12 M2 1 L11 4 L2 7" fill="currentColor" stroke="currentColor" /></svg> look closely</span>@elseif ((float) $report->share >= (float) config('harbor.overlap.look'))<span class="signal whitespace-nowrap"><svg class="inline" width="11" height="12" viewBox="0 0 12 12" aria-hidden="true"><path d="M2 1 V12 M2 1 L11 4 L2 7" fill="none" stroke="currentColor" /></svg> look</span>@else<span class="quiet">ready</span>@endif</td>
                    @else
                        <td colspan="4" class="quiet">@if ($report?->state === App\Enums\ReportState::Failed){{ $report->failure }}@elseif ($report?->state === App\Enums\ReportState::Running && $report->to_compare > 0){{ $report->compared }} of {{ $report->to_compare }} compared @endif</td>
                        <td @class(['signal' => $report?->state === App\Enums\ReportState::Failed, 'quiet' => $report?->state !== App\Enums\ReportState::Failed])>{{ $report?->state->value ?? 'waiting' }}</td>
                    @endif
                </tr>
            @endforeach
        </tbody>
    </table>
</div>

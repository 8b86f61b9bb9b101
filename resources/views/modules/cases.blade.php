@php use App\Wording\LocalTime; @endphp
@foreach ($cases as $case)
    <div class="small mt-2 {{ $case->ended_at ? 'quiet' : '' }}">
        <b>{{ ucfirst($case->inWords()) }}</b>: {{ $case->reason }}
        <span class="quiet">({{ $case->decider->name }}, {{ LocalTime::shown($case->created_at) }}{{ $case->ended_at
            ? '; ended '
            .LocalTime::shown($case->ended_at).' by '.($case->ender->name ?? '').': '.$case->ended_reason
                : '' }})</span>
        @if ($case->ended_at === null && $script->result === null)
            <details class="inline-block ml-2"><summary class="link">end it</summary>
                <form class="flex flex-wrap gap-2 mt-1" method="post" action="{{ route('cases.update', $case) }}">@csrf
                @method('put')
                    <label class="sr-only" for="e-{{ $case->public_id }}">Why it no longer holds</label>
                    <input class="input" id="e-{{ $case->public_id }}" name="ended_reason" placeholder="why" required
                        minlength="5"
                        maxlength="1000"><button class="button">End it</button></form></details>
        @endif</div>
@endforeach

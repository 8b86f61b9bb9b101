@php
    use App\Enums\PackState;
    use App\Wording\LocalTime;
    $recordings = array_sum(array_column($d['marks'], 'recordings'));
@endphp
<x-page :title="$d['code'].': sample pack'" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Moderate" slim /></x-slot:head>
    <div class="flex flex-wrap items-baseline gap-x-5 mb-4">
        <h2 class="code">{{ $d['code'] }}</h2>
        <span class="kelp">agreed {{ $d['agreed'] }}</span><span class="quiet">{{ $d['band'] }}</span>
        <span class="quiet small">as it was when the pack was sent, {{ LocalTime::shown($pack->sent_at) }}</span>
        <span class="ml-auto whitespace-nowrap"><span class="quiet">{{ $place }} of {{ $all }}</span>
            @if ($previous)<a class="ml-2" rel="prev" href="{{ route('packs.script', [$pack, $previous->script->code]) }}">‹
                previous</a>@endif
            @if ($next)<a class="ml-2" rel="next" href="{{ route('packs.script', [$pack, $next->script->code]) }}">next ›</a>@endif
            <a class="ml-3" href="{{ route('packs.show', $pack) }}">the pack</a></span>
    </div>
    <div class="split">
        <div class="min-w-0" data-text>
            <div class="reading-pair mb-5">
                <article class="text sheet px-6 py-4 max-h-[75vh] overflow-y-auto" tabindex="0" aria-label="The script"
                    dir="auto">{!! $d['text'] !!}</article>
                <div class="max-h-[75vh] overflow-y-auto" data-others tabindex="0" aria-label="Comments on the script">
                    @foreach ($d['marks'] as $mark)
                        <h3 class="small mt-1"><span class="seat-line {{ $mark['seat'] }}">{{ ucfirst(__(
                            "mark.seat.{$mark['seat']}")) }}</span> <span class="quiet font-normal">{{ trans_choice(
                            'mark.comments_on_script', count($mark['comments'])) }}</span></h3>
                        <ol>@foreach ($mark['comments'] as $note)<li class="py-1 small border-b border-rule"
                            data-seat="{{ $mark['seat'] }}" @if ($note['place'] !== null)
                            data-place="{{ $note['place'][0] }} {{ $note['place'][1] }}" @endif><b>{{ __(
                            'mark.comment_kind.'.$note['kind']) }}</b>@if ($note['criterion']) <span class="quiet">· {{
                            $note['criterion'] }}</span>@endif <button class="link" type="button" data-show hidden>show</button>
                            <span class="quiet block font-text" dir="auto">{{ $note['quote'] === null ? 'page '.$note['page']
                            : '“'.Str::limit(Str::squish($note['quote']), 110).'”' }}</span>
                            <span class="whitespace-pre-line" dir="auto">{{ $note['body'] }}</span></li>@endforeach</ol>
                    @endforeach
                    @foreach ($d['links'] as $link)<p class="mt-2 small"><a href="{{ $link }}" target="_blank"
                        rel="noreferrer noopener">{{ $link }}</a></p>@endforeach
                </div>
            </div>
            @include('moderate.pack-marks')
        </div>
        <aside>
            <div class="panel mb-4"><h2 class="mb-1">How {{ $d['agreed'] }} came about</h2><x-working
                :lines="$d['working']" />
                @foreach ($d['opened_again'] as $old)<p class="small quiet mt-2">Before, it was settled at {{ $old['mark'] }}{{
                    $old['why'] === '' ? '' : '. Opened again: '.$old['why'] }}</p>@endforeach</div>
            @if ($recordings > 0)<p class="small quiet mb-4">{{ trans_choice($pack->recordings
                ? 'moderate.recordings_in' : 'moderate.recordings_out', $recordings) }}</p>@endif
            <section class="panel" id="notes"><h2 class="mb-1">Notes on this script</h2>
                @forelse ($notes as $note)<p class="small quiet mt-2">{{ $note->author->name }}, {{ LocalTime::shown(
                    $note->created_at) }}</p><p class="whitespace-pre-line">{{ $note->body }}</p>
                @empty<p class="quiet small">None.</p>@endforelse
                @if ($reads && $pack->state === PackState::Sent)
                    <form class="mt-3" method="post" action="{{ route('packs.say', $pack) }}">@csrf
                        <input type="hidden" name="script" value="{{ $d['code'] }}">
                        <x-field name="body" label="A note, for the team" rows="3" />
                        <div class="flex justify-end"><button class="button">Keep the note</button></div></form>
                @endif
            </section>
        </aside>
    </div>
</x-page>

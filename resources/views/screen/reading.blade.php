{{--
    The script beside its sources: for staff with what can be left out, for students with what to do. Needs $reading,
    $asked, $link (a closure making addresses of this page), $student.
--}}
@php
    $figures = $reading['figures'];
    $current = $reading['current'];
    $runs = $reading['runs'];
    $sources = $reading['sources'];
    $source = $current ? $sources[$current['source']] : null;
    $whole = $reading['whole'];
    $hide = $reading['hide'];
    $to = fn (array $other) => $link(
        array_filter([...$asked, ...$other], fn ($value) => $value !== null && $value !== [] && $value !== ''));
    $n = $reading['number'];
    // Each part of the script: in a run, hidden or altered, left out, or plain.
    $why = ['given' => 'of the brief or a template', 'quotation' => 'a quotation', 'bibliography' => 'the bibliography',
        'passage' => 'taken off by a reader'];
    $mark = function (array $part) use ($runs, $sources, $to, $why): string {
        $text = e($part['text']);
        if ($part['run'] > 0) {
            $said = "Run {$part['run']}, source {$part['letter']}".($part['kind'] === 'close' ? ', close wording'
                : '').($part['hidden'] === '' ? '' : " · {$part['hidden']}");
            $class = implode(' ', array_filter(
                ['run', 'h'.$sources[$runs[$part['run'] - 1]['source']]['hatch'], $part['kind'],
                $part['same'] ? 'same' : '', $part['now'] ? 'now' : '', $part['hidden'] === '' ? '' : 'tampered']));

            return '<a class="'.$class.'" data-run="'.$part['run'].'"'.($part['same'] ? ' data-same'
                : '').' href="'.e($to(['run' => $part['run']])).'" title="'.e($said).'">'.$text.'</a>';
        }

        return match (true) {
            $part['hidden'] !== '' => '<span class="tampered" title="'.e($part['hidden']).'">'.$text.'</span>',
            $part['left'] !== '' => '<span class="left-out" title="'.e(
                $why[$part['left']]).': left out">'.$text.'</span>',
            default => $text,
        };
    };
    $per = fn (int $word) => round(100 * $word / max(1, $reading['words']), 2);
@endphp
<x-hatches />
<div class="sources" role="group" aria-label="Sources">
    @forelse ($sources as $one)
        @php($off = in_array($one['letter'], $hide, true))
        <span @class(['chip', 'off' => $off, 'here' => $source && $source['letter'] === $one['letter']])>
            <a href="{{ $to(['run' => $one['first'] ?? 1,
                'hide' => array_values(array_diff($hide, [$one['letter']]))]) }}"
                title="{{ $one['label'] }}{{ $one['where'] === '' ? '' : ' · '.$one['where'] }}"><svg class="shrink-0"
                width="18" height="18" aria-hidden="true">
                <rect x="1" y="1" width="16" height="16" fill="url(#hatch-{{ $one['hatch'] }})" stroke="var(--deep)" />
                </svg> <b>{{ $one['letter'] }}</b> <span class="name">{{ $one['label'] }}</span>
                <span class="quiet whitespace-nowrap">{{ number_format($one['words']) }}
                words{{ $one['close'] > 0 ? ' + close' : '' }}</span></a>
            <a class="toggle" href="{{ $to(
                ['hide' => $off ? array_values(array_diff($hide, [$one['letter']])) : [...$hide, $one['letter']],
                'run' => 1]) }}" aria-label="{{ $off ? 'Show'
                : 'Hide' }} the marks of source {{ $one['letter'] }}">{{ $off ? 'show' : 'hide' }}</a>
        </span>
    @empty
        <span class="quiet">No source shares a passage of {{ $assignment->screening->minWords }}
        words or more with this text.</span>
    @endforelse
</div>
<div class="reading" data-threads>
    <svg class="staff" role="group" aria-label="Where in the text the runs lie">
        <rect x="0.5" y="0" width="20" height="100%" fill="var(--sheet)" stroke="var(--quiet)" />
        @foreach ($figures->places as $place)<rect x="1" y="{{ $per($place->from) }}%" width="19"
            height="{{ max(0.3, $per($place->to) - $per($place->from)) }}%" fill="var(--rule)" />@endforeach
        @foreach ($runs as $run)
            <a href="{{ $to(['run' => $run['number']]) }}"
                aria-label="Passage {{ $run['number'] }}, source {{ $run['letter'] }}, {{ $run['words'] }} words{{ $run['kind'] === 'close'
                ? ', close wording' : '' }}"><rect x="{{ $run['kind'] === 'close' ? 11 : 0.5 }}"
                y="{{ $per($run['from']) }}%" width="{{ $run['kind'] === 'close' ? 9.5 : 20 }}"
                height="{{ max(0.9, $per($run['to']) - $per($run['from'])) }}%"
                fill="url(#hatch-{{ $sources[$run['source']]['hatch'] }})" stroke="var(--deep)" /></a>
            @if ($run['number'] === $n)<svg x="23" y="{{ $per(intdiv($run['from'] + $run['to'], 2)) }}%" width="10"
                height="12" overflow="visible"><path d="M0 0 L9 -5 V5 Z" fill="var(--ink)" /></svg>@endif
        @endforeach
    </svg>
    <section class="pane" aria-label="{{ $student ? 'Your text' : 'The script' }}" tabindex="0" data-pane="here">
        <div class="text whitespace-pre-line">@foreach ($reading['script'] as $part){!! $mark(
        $part) !!}@endforeach</div></section>
    <svg class="threads" aria-hidden="true"></svg>
    <section class="pane" aria-label="The source" tabindex="0" data-pane="there">
        @if ($current === null)
            <div class="p-2"><h2>Nothing to compare</h2>
            <p class="quiet mt-1">{{ $hide === []
                ? 'No passage of '.$assignment->screening->minWords.' words or more was found where this assignment looks. That says nothing about anywhere else.'
                : 'The marks of every source are hidden.' }}</p></div>
        @elseif ($current['there'] === null)
            <div class="p-2">
                <p class="mb-2"><b>{{ $source['letter'] }}</b> · {{ $source['label'] }}</p>
                @if ($student)
                    <p class="quiet">Nobody is shown what others have written, so you see your own words only: {{ $current['words'] }}
                    of them also stand there{{ $current['kind'] === 'close'
                        ? ', in the same order and with changes between them' : '' }}.</p>
                    <h2 class="mt-5 mb-1">Whose wording is it?</h2>
                    <ul class="list-disc ml-5 grid gap-1">
                        @if ($draft)
                        <li>From a source you both used: put quotation marks round it and name the source. It is then no longer counted.
                        </li>
                        <li>Your own, or what everyone in the subject says: leave it.</li>
                        <li>From someone else’s work: write the point anew, without their text in front of you.</li>
                        @else
                        <li>From a source you both used, named beside it: that is how sources are used.</li>
                        <li>Your own, or what everyone in the subject says: nothing to explain.</li>
                        <li>From someone else’s work, or you are not sure: say so to your module coordinator before they ask, and bring your notes.
                        </li>
                        @endif
                    </ul>
                @elseif (! $source['readable'])
                    <p class="quiet">This is work for another assignment, which its coordinator alone can read: beside this script it could tell whose both are. {{ $current['words'] }}
                    words of this passage also stand there{{ $current['kind'] === 'close'
                        ? ', in the same order and with changes between them'
                        : '' }}. If it matters for your mark, write to the coordinator.</p>
                @else
                    <p class="quiet">The text of this source is no longer there as it was. Compare this script again.
                    </p>
                @endif
            </div>
        @else
            <p class="small quiet mb-2"><b class="text-ink">{{ $source['letter'] }}</b>
            · {{ $source['label'] }}@if ($source['where'] !== '') · {{ $source['where'] }}@endif @if ($source['url']) ·
            <a href="{{ $source['url'] }}" target="_blank" rel="noreferrer noopener">open the page</a>@endif
                @if ($source['whole'])· <a href="{{ $to(['whole' => $whole ? null : '1']) }}"
                    data-key="w">{{ $whole ? 'only around this passage' : 'the whole source' }}
                    <kbd>w</kbd></a>@endif</p>
            <div class="text whitespace-pre-line">{{ $current['there']['before'] ? '… '
                : '' }}@foreach ($current['there']['parts'] as $part){!! $part['run'] > 0
                ? '<mark class="run h'.$source['hatch'].' same '.$part['kind'].($part['now'] ? ' now'
                : '').'" data-run="'.$part['run'].'" data-same>'.e($part['text']).'</mark>'
                : e($part['text']) !!}@endforeach{{ $current['there']['after'] ? ' …' : '' }}</div>
        @endif
    </section>
</div>
<p class="legend"><span><i class="key run h0 same"></i>
identical words</span><span><i class="key run h0 close same"></i>
close wording: words in common</span><span><i class="key left-out-key"></i>
left out</span>@if ($reading['hiding'] !== [])<span><i class="key tampered"></i> hidden or altered</span>@endif</p>

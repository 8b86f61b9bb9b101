{{-- What observers recorded, to be read by whoever may. --}}
<section class="panel my-4"><h2>{{ __('observe.record.title') }}</h2>
    @foreach ($records as $record)
        <div class="mt-3">
            @if (count($records) > 1)<h3>{{ ucfirst(__('mark.seat.'.$record->mark->seat->value)) }}</h3>@endif
            <p class="quiet small">{{ implode(', ', array_filter([
                $record->began === null ? '' : __('observe.record.began', ['at' => $record->began]),
                $record->seconds === 0 ? '' : __('observe.record.ran', ['minutes' => intdiv($record->seconds, 60).':'
                    .str_pad((string) ($record->seconds % 60), 2, '0', STR_PAD_LEFT).' minutes']),
            ])) }}@if ($record->course->value !== 'usual') <b class="signal">{{ __('observe.course.'.$record->course->value) }}</b>@endif</p>
            @if ($record->steps !== [])<table class="table small"><thead><tr><th>Step</th><th>Seen</th><th class="num">At</th></tr></thead>
                <tbody>@foreach ($record->steps as $step)<tr><td>{{ $step['step'] }}</td><td>{{ __('observe.seen.'.$step['seen']) }}</td>
                    <td class="num">{{ $step['at'] }}</td></tr>@endforeach</tbody></table>@endif
            @foreach ($record->notes as $note)<p class="mt-1"><span class="quiet small">{{ $note['at'] }}</span> {{ $note['text'] }}</p>@endforeach
            @foreach ($record->evidence as $file)
                @if ($file->kind === 'photo')<p class="mt-2"><a href="{{ route('observation-files.show', $file->public_id) }}" target="_blank"><img
                    class="max-w-full max-h-64" src="{{ route('observation-files.show', $file->public_id) }}" alt="{{ __('observe.record.evidence') }}" loading="lazy"></a></p>
                @elseif ($file->kind === 'sound')<p class="mt-2"><audio class="w-full" controls preload="none"
                    src="{{ route('observation-files.show', $file->public_id) }}"></audio></p>
                @else<p class="mt-2"><a href="{{ route('observation-files.show', $file->public_id) }}">{{ $file->name }}</a></p>@endif
            @endforeach
        </div>
    @endforeach
</section>

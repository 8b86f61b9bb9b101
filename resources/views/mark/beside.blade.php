{{-- What other markers wrote on the script and in general; the list shows each where it stands. --}}
@foreach ($beside as $other)
    @php($notes = $besideNotes[$other->seat->value] ?? [])
    <div class="criterion">
        <p><b>{{ ucfirst(__("mark.seat.{$other->seat->value}")) }}</b> <b>{{ $other->shownTotal() }}</b>
            <span class="quiet small">{{ $other->marker->name }}</span></p>
        @if ($other->general_comment !== '')<div class="said mt-1" dir="auto">
            {!! YoungHarbor\Core\Text\LightMarkup::html($other->general_comment) !!}</div>@endif
        @if ($other->reason !== '')<p class="mt-1 whitespace-pre-line" dir="auto"><span class="quiet">Why:</span>
            {{ $other->reason }}</p>@endif
        @if ($notes !== [])
            <p class="small mt-2">{{ trans_choice('mark.comments_on_script', count($notes)) }}
                <span class="seat-line {{ $other->seat->value }}">marked so in the text</span></p>
            <ol class="note-list" data-others>
                @foreach ($notes as $note)
                    <li class="py-1 small" data-seat="{{ $other->seat->value }}" @if ($note['place'] !== null)
                        data-place="{{ $note['place'][0] }} {{ $note['place'][1] }}" @endif>
                        <b>{{ __('mark.comment_kind.'.$note['kind']) }}</b>
                        <button class="link" type="button" data-show hidden>show</button>
                        <span class="quiet block" dir="auto">{{ isset($note['anchor']['page'])
                            ? "page {$note['anchor']['page']}"
                            : '“'.Str::limit(Str::squish($note['anchor']['exact']), 90).'”' }}</span>
                        <span class="whitespace-pre-line" dir="auto">{{ $note['body'] }}</span></li>
                @endforeach
            </ol>
        @endif
    </div>
@endforeach

<div @class(['fairway', 'slim' => $slim])>
    <div class="title">
        <h1>{{ $assignment->title }}</h1>
        @unless ($slim)
            <a class="quiet" href="{{ route('modules.show',
                $assignment->module) }}">{{ $assignment->module->fullTitle() }}</a>
            @if ($role === App\Enums\Role::Coordinator && $assignment->due_at)
                <span class="quiet small">due {{ App\Wording\LocalTime::shown($assignment->due_at) }}</span>
            @endif
        @endunless
    </div>
    <nav aria-label="Stages of this assignment">
        <ol>
            @foreach ($marks as ['mark' => $mark, 'link' => $link])
                @php($done = $mark->progress)
                <li @class(['here' => $here === $mark->stage, 'needs' => $mark->needsYou])>
                    @if ($link)<a href="{{ $link }}" @if ($here === $mark->stage) aria-current="step"
                        @endif>@else<span>@endif
                        <svg viewBox="0 0 {{ $slim ? 22 : 170 }} 26" preserveAspectRatio="xMinYMid meet"
                            aria-hidden="true">
                            @unless ($slim || $loop->last)<line @class(['way',
                                'sailed' => $done === YoungHarbor\Core\Fairway\StageProgress::Done]) x1="9" y1="16"
                                x2="1000" y2="16" />@endunless
                            <circle @class(['buoy', 'on' => $done !== YoungHarbor\Core\Fairway\StageProgress::NotBegun,
                                'full' => $done === YoungHarbor\Core\Fairway\StageProgress::Done]) cx="9" cy="16"
                                r="8" />
                            @if ($done === YoungHarbor\Core\Fairway\StageProgress::UnderWay)<path class="half"
                                d="M9 8 a8 8 0 0 0 0 16 z" />@endif
                            @if ($mark->needsYou)<path class="flag" d="M12 9 V0 L21 3.5 L12 7" />@endif
                        </svg>
                        <span class="name">{{ $mark->stage->label() }}</span>
                        <span class="sr-only">, {{ __('mark.progress.'.$done->value) }}{{ $mark->needsYou
                            ? ', needs you' : '' }}</span>
                        <span class="count">{{ $mark->note }}</span>
                    @if ($link)</a>@else</span>@endif
                </li>
            @endforeach
        </ol>
    </nav>
    @if ($slim){{ $slot }}@endif
</div>

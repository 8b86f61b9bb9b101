<!DOCTYPE html>
<html lang="en"><head><meta charset="utf-8"><title>{{ __('board.title') }}</title><style>
    body { font-family: 'DejaVu Sans', sans-serif; font-size: 8.5pt; line-height: 1.35; }
    h1 { font-size: 14pt; } h2 { font-size: 11pt; margin-bottom: 2pt; }
    table { border-collapse: collapse; width: 100%; }
    td, th { border-bottom: 0.5pt solid #999; padding: 2.5pt; text-align: left; vertical-align: top; }
    .num { text-align: right; } .quiet { color: #555; } .small { font-size: 7.5pt; } .code { font-family: 'DejaVu Sans Mono', monospace; }
</style></head><body>
<h1>{{ __('board.title') }}: {{ $sheet['module'] }}</h1>
<p>{{ $kept ? __('board.as_of').', '.App\Wording\LocalTime::shown($kept->created_at).', '.$kept->confirmer->name
    : 'As it was '.App\Wording\LocalTime::shown($made).', not confirmed' }}. {{ __('board.names') }}</p>
@if ($kept && $kept->note !== '')<p>{{ $kept->note }}</p>@endif
<h2>{{ __('board.rules') }}</h2>
<p>@foreach ($sheet['parts'] as $part){{ $part['title'] }}: {{ $part['weight'] }} %. @endforeach</p>
<p>@foreach ($sheet['rules'] as $rule){{ $rule }} @endforeach</p>
<h2>{{ __('board.bands') }}</h2>
<p>@foreach (array_reverse($sheet['bands']) as $band => $count){{ $band }}: {{ $count }}{{ $loop->last ? '.' : ',' }} @endforeach
    {{ ucfirst(__('board.bands_of')) }}.</p>
@include('release.board-table', ['rows' => $sheet['rows']])
</body></html>

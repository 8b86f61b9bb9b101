@if (is_array($value))<ul>
@foreach ($value as $key => $one)<li>@if (is_string($key)){{ str_replace('_', ' ', $key) }}: @endif
@include('keeping.value', ['value' => $one])</li>@endforeach</ul>
@elseif (is_bool($value)){{ __($value ? 'logbook.yes' : 'logbook.no') }}@else{{ $value }}@endif

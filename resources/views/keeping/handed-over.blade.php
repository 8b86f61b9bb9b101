<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>{{ __('keeping.file.title', ['institution' => config('harbor.institution'), 'name' => $person->name]) }}</title>
<style>
body { font: 16px/1.5 system-ui, sans-serif; max-width: 60rem; margin: 2rem auto; padding: 0 1rem; color: #16223a; }
h2 { margin-top: 2.5rem; border-bottom: 1px solid #ccd; } h3 { margin-bottom: 0; } .why { margin-top: 0; color: #556; }
dl { display: grid; grid-template-columns: 12rem 1fr; gap: 0 1rem; padding: .5rem 1rem; }
dl { border: 1px solid #dde; border-radius: 6px; }
dt { color: #556; } dd { margin: 0; white-space: pre-line; overflow-wrap: anywhere; } ul { margin: .2rem 0; padding-left: 1.2rem; }
@media (max-width: 40rem) { dl { display: block; } }
</style>
</head>
<body>
<h1>{{ __('keeping.file.title', ['institution' => config('harbor.institution'), 'name' => $person->name]) }}</h1>
<p>{{ __('keeping.file.made', ['at' => App\Wording\LocalTime::shown(now())]) }} {{ __($all ? 'keeping.file.all' : 'keeping.file.own') }}</p>
@foreach (App\Keeping\KeptKinds::groups() as $group => $kinds)
@php($there = array_filter($kinds, fn ($kind) => isset($rows[$kind->name])))
@if ($there !== [])
<h2>{{ __("keeping.groups.{$group}") }}</h2>
@foreach ($there as $kind)
<h3>{{ __("keeping.kinds.{$kind->name}.0") }}</h3>
<p class="why">{{ __("keeping.kinds.{$kind->name}.1") }}</p>
@foreach ($rows[$kind->name] as $row)
<dl>@foreach ($row as $name => $value)<dt>{{ str_replace('_', ' ', $name) }}</dt>
<dd>@include('keeping.value', ['value' => $value])</dd>@endforeach</dl>
@endforeach
@endforeach
@endif
@endforeach
@if ($files !== [])
<h2>{{ __('keeping.file.files') }}</h2>
<ul>@foreach ($files as $file)<li><a href="{{ $file['path'] }}">{{ $file['name'] }}</a>
({{ __("keeping.kinds.{$file['kind']}.0") }})</li>@endforeach</ul>
@endif
</body>
</html>

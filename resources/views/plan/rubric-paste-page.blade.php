<x-page title="Paste a table" at="rubrics">
    <x-slot:head><x-rubric-head :rubric="$rubric" here="sheet" /></x-slot:head>
    <form method="post" action="{{ route('rubrics.paste', $rubric) }}">
        @csrf
        <label class="label" for="paste-text">The table</label>
        <textarea class="input" id="paste-text" name="pasted" rows="8">{{ $pasted }}</textarea>
        <div class="mt-3">@include('plan.rubric-pasted')</div>
        <button class="button mt-3">Preview again</button>
    </form>
</x-page>

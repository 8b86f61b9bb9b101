@php
    use YoungHarbor\Core\Rubric\CriterionMark;
    use YoungHarbor\Core\Rubric\MarkForm;
@endphp
<x-page :title="'Trial scripts: '.$round->title" at="modules" quiet-errors>
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::ShareOut" /></x-slot:head>
    @include('share-out.tabs', ['at' => 'peers'])
    <div class="flex flex-wrap items-baseline gap-x-4 mb-2"><h1 class="text-xl!">Trial scripts</h1>
        <a href="{{ route('rounds.staff', $round) }}">{{ $round->title }}</a></div>
    <p class="mb-4 max-w-[46rem]">
        Before they review, students mark one to three scripts whose marks you have set. Afterwards they see your levels and
        reasons beside theirs, criterion by criterion. Take texts of nobody in this cohort.</p>
    @foreach ($errors->all() as $message)<div class="notice refusal" role="alert">{{ $message }}</div>@endforeach
    @foreach ($trials as $trial)
        <details class="fold"><summary><b>{{ $trial->title }}</b>
        <span class="quiet">{{ number_format(str_word_count($trial->text)) }}
        words, marked {{ $trial->exactTotal() }}</span></summary>
            <div class="text my-3 whitespace-pre-line">{{ $trial->text }}</div>
            @foreach ($trial->rubric()->criteria as $criterion)<p class="py-1"><b>{{ $criterion->title() }}:</b>
            {{ MarkForm::inWords($criterion, $trial->choices->on($criterion->id())) }}
                <span class="block quiet">{{ $trial->choices->on($criterion->id())->comment }}</span></p>@endforeach
            @if ($round->given_at === null)<form method="post" action="{{ route('trials.destroy', $trial) }}">@csrf
            @method('delete')<button class="button mt-2">Take it away</button></form>@endif</details>
    @endforeach
    @if ($rubric === null)<p class="notice">{{ __('peers.needs_rubric') }}</p>
    @elseif ($round->given_at === null && $trials->count() < App\Actions\Peers\AddTrialScript::MOST)
        <form method="post" action="{{ route('trials.store', $round) }}" class="mt-5" data-rails>@csrf
            <h2 class="mb-2">Add a trial script</h2>
            <div class="max-w-3xl"><x-field name="title" label="Title" maxlength="120" />
                <x-field name="text" label="The text" rows="10" dir="auto" /></div>
            <div class="sheet max-w-3xl mb-3">@foreach ($rubric->criteria as $criterion)
                @php
                    $id = $criterion->id();
                    $form = old("marks.{$id}"); $form = is_array($form) ? $form : [];
                    try { $set = MarkForm::mark($criterion, array_diff_key($form, ['comment' => true])); }
                    catch (YoungHarbor\Core\Input\InvalidInput) { $set = new CriterionMark; }
                @endphp
                <div class="criterion"><fieldset><x-mark-criterion :criterion="$criterion" :set="$set"
                    :prefix="'marks['.$id.']'" />
                    <label class="sr-only" for="c-{{ $id }}">Why, on {{ $criterion->title() }}</label>
                    <textarea class="input mt-1" id="c-{{ $id }}" name="marks[{{ $id }}][comment]" rows="2" dir="auto"
                        placeholder="why; students read it afterwards">{{ is_string($form['comment'] ?? null) ? $form['comment'] : '' }}</textarea>
                        </fieldset></div>
            @endforeach</div>
            <button class="button primary">Add it</button></form>
    @elseif ($round->given_at !== null)<p class="quiet mt-3">{{ __('peers.trials_fixed') }}</p>@endif
</x-page>

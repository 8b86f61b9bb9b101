@php
    use App\Wording\LocalTime;
    $a = $assignment;
    $scheme = $a?->scheme ?? YoungHarbor\Core\Marking\Scheme::usual();
    $screening = $a?->screening ?? YoungHarbor\Core\Screening\Settings::usual();
    $feedbackOnly = $a?->release->feedbackOnly ?? false;
    $words = fn (string $key, array $cases): array => collect($cases)
        ->mapWithKeys(fn ($case) => [$case->value => __("plan.{$key}.{$case->value}")])->all();
    $sample = $scheme->sample();
    $rubricId = $a?->rubricVersion?->rubric->public_id;
    $options = ['' => 'Choose one']
        + $rubrics->mapWithKeys(
        fn ($r) => [$r->public_id => $r->title.', version '.$r->latestVersion->number.(
        $r->scope === App\Enums\RubricScope::Module ? '' : ' ('.$r->place().')')])->all();
    if ($a?->rubricVersion) {
        $options[$rubricId] = $a->rubricVersion->rubric->title.', version '.$a->rubricVersion->number;
    }
    $bandOptions = collect($scales)->map(fn ($b) => $b['name'])->all();
    $bandKey = $a ? array_search($a->bands, $scales) : 'classes';
    if ($bandKey === false) {
        $bandOptions['kept'] = $a->bands['name'].' (as it was)';
        $bandKey = 'kept';
    }
    $open = $a?->isPublished() ?? false;
    $form = $a?->form ?? App\Enums\WorkForm::tryFrom((string) old('form', request()->string('form')->toString()))
        ?? App\Enums\WorkForm::Handin;
    $talks = $form === App\Enums\WorkForm::Discussion;
    $watched = $form === App\Enums\WorkForm::Observed;
    $plain = fn ($number) => $number === null ? ''
        : (str_contains((string) $number, '.') ? rtrim(rtrim((string) $number, '0'), '.') : (string) $number);
    $late = $a?->late_rule;
    $length = $a?->length_rule;
    $lateDays = match (true) { ($late['weekends'] ?? true) && ($late['closures'] ?? true) => 'all',
        $late['closures'] ?? true => 'weekends', $late['weekends'] ?? true => 'closures', default => 'both' };
    $declared = old('declaration', $a ? $a->declaration ?? [] : [
        ['id' => 'own', 'kind' => 'confirm',
            'label' => 'This is my own work. What I took from others is marked as theirs.', 'required' => true],
        ['id' => 'tools', 'kind' => 'words', 'label' => 'Tools I used (writing aids, translation, AI), and what for',
            'required' => true],
        ['id' => 'people', 'kind' => 'words', 'label' => 'People who helped me, and with what', 'required' => true],
    ]);
    $kinds = old('kinds', $a?->handin_kinds
        ?? [...array_column(App\Extraction\FileKind::documents(), 'value'), 'typed']);
    $inWords = [
        'handin' => (($a?->handin_by->isGroup() ?? false) ? $a->handin_by->label().': ' : '').(($a?->max_files ?? 1) > 1
            ? "up to {$a->max_files} files: " : '').($a?->handin_kinds === null ? 'any document or typed text'
            : $a->kindsInWords().($a->takesTyped() ? ' or typed' : '')).', up to '.($a?->max_megabytes
            ?? config('harbor.upload.max_megabytes')).' MB',
        'costs' => implode('; ', array_filter([
            $late ? 'late: '.YoungHarbor\Core\Marks\LateRule::fromArray($late)->sentence()
                : 'late work is marked as late and costs nothing',
            $length ? YoungHarbor\Core\Marks\LengthRule::fromArray($length)->sentence() : '',
            $a?->cap ? 'at most '.$plain($a->cap).' marks' : '',
        ])),
        'settle' => $feedbackOnly ? 'feedback without a mark'
            : App\Wording\SecondMarking::short($scheme),
        'screen' => 'passages of '.$screening->minWords.' words; look from '.$plain(
            $screening->look).' %, closely from '.$plain($screening->lookClosely).' %'.($screening->web
            ? '; with the open web' : '').'; '.lcfirst(__('screen.seen.'.$screening->seen->value)),
    ];
    // What students were told, or what work came in under, is fixed: the fields look it before anyone types.
    $told = $open ? 'Fixed: students were told.' : null;
    $toldLate = $told === null ? null : ($late ? $told : 'Fixed: students were told that late work costs nothing.');
    $toldLength = $told === null ? null : ($length ? $told : 'Fixed: students were told of no limit.');
    $came = $handedIn > 0 ? ($watched ? __('observe.plan.fixed') : 'Fixed: work has come in.') : null;
    $marked = $withMarkers ? 'Fixed: scripts are with markers.' : null;
    $fold = fn (string ...$fields) => $errors->hasAny($fields) ? 'open' : '';
@endphp
<x-page :title="$a?->title ?? 'A new assignment'" at="modules">
    <x-slot:head>
        @if ($a)<x-fairway :assignment="$a" :here="YoungHarbor\Core\Stage::Plan" />
        @else<div class="heading">
            <h1>A new assignment</h1><a class="of"
            href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a></div>@endif
    </x-slot:head>
    @if ($newer)
        <div class="notice">Version {{ $newer->number }}
        of this assignment’s rubric is ready; version {{ $a->rubricVersion->number }} is in use.
        <a href="{{ route('plan.rubric', $a) }}">See what it changes, and choose</a></div>
    @endif
    @if ($open)
        <p class="quiet small mb-3">{{ $handedIn === 0 ? 'It is open to students.' : ($watched
        ? __('observe.plan.have_slots', ['count' => $handedIn])
        : "{$handedIn} have handed in.") }}
        What they were told is fixed and shown so. The due time can be moved later, what late and long work costs can be dropped, more kinds of files can be allowed; saving says what it touched.
        </p>
    @endif
    @if ($a?->let_go_at !== null)<p class="notice mb-4">{{ __('keeping.let_go_here', [
        'at' => LocalTime::dayOf($a->let_go_at)]) }}</p>@endif
    @unless ($a)<nav class="chips mb-4" aria-label="{{ __('plan.form.what') }}">
        <span class="quiet mr-1">{{ __('plan.form.what') }}</span>
        @foreach (App\Enums\WorkForm::cases() as $one)<a href="{{ route('plan.create', [$module, 'form' => $one->value]) }}"
            aria-current="{{ $one === $form ? 'true' : 'false' }}">{{ $one->label() }}</a>@endforeach</nav>@endunless
    <form id="assignment" method="post" action="{{ $a ? route('plan.update', $a) : route('plan.store', $module) }}">
        @csrf
        @if ($a)@method('put')<input type="hidden" name="lock_version" value="{{ $a->lock_version }}">@endif
        <input type="hidden" name="form" value="{{ $form->value }}">
        <div class="grid lg:grid-cols-2 gap-x-10">
            <div>
                <h2 class="mb-3">What students are asked</h2>
                <x-field name="title" label="Title" :value="$a?->title" required />
                <x-field name="brief" label="Brief" rows="9" :value="$a?->brief"
                    hint="Students read it from the opening time on." />
                <x-choice name="rubric" label="Rubric" :options="$options" :value="$rubricId"
                    :locked="$open ? 'Fixed: students can see it. A newer version of it can be taken once it is ready.'
                    : null" :hint="($rubrics->isEmpty()
                    ? 'No rubric is ready yet. Save without one, make one ready under Rubrics, and choose it here.'
                    : 'Only ready rubrics can be chosen: the module’s, your own and everyone’s.')" />
                @if ($watched && $a)<p class="mb-4"><a href="{{ route('slots.index', $a) }}">{{ __('observe.plan.slots') }}</a></p>@endif
                @if ($talks)<p class="mb-4">@if ($a)<a href="{{ route('discussion.show', $a) }}">{{ trans_choice(
                    'discuss.topics_plan', $a->topics->count()) }}</a>@else{{ __('discuss.topics_later') }}@endif</p>@endif
            </div>
            <div>
                <h2 class="mb-3">When</h2>
                <div class="grid sm:grid-cols-2 gap-x-4">
                    <x-field name="opens_at" label="Opens" type="datetime-local"
                        :value="LocalTime::field($a?->opens_at)" hint="Empty: as soon as you open it." />
                    <x-field name="due_at" type="datetime-local"
                        :label="$talks ? 'First posts are due' : ($watched ? 'All are observed by' : 'Due')"
                        :value="LocalTime::field($a?->due_at)"
                        :hint="$open ? 'Can be moved later, not earlier.' : null" />
                    @unless ($watched)<x-field name="closes_at" :label="$talks ? 'The discussion ends' : 'Late work is taken until'"
                        type="datetime-local" :value="LocalTime::field($a?->closes_at)" :hint="$talks
                        ? 'What stands then is marked. Empty: when first posts are due.' : 'Marked as late. Empty: no end.'" />@endunless
                    <x-field name="promised_on" label="Results promised for" type="date"
                        :value="$a?->promised_on?->format('Y-m-d')" />
                </div>
                <p class="hint mb-5">Times are those of {{ LocalTime::zone() }}.</p>
                @if ($talks)@include('plan.discussion')@elseif ($watched)@include('plan.observing')@else
                <details class="fold" {{ $fold('handin_by', 'self_checks', 'first_feedback', 'kinds', 'max_megabytes', 'max_files',
                    'kinds.0') }}>
                    <summary><b>What is handed in</b>
                    <span class="quiet small">{{ $inWords['handin'] }}</span></summary>
                    <x-choice name="handin_by" label="Handed in by"
                        :options="collect(App\Enums\HandInBy::cases())
                        ->mapWithKeys(fn ($by) => [$by->value => $by->label()])->all()"
                        :value="$a?->handin_by->value ?? 'each'" :locked="$came"
                        hint="Groups are made under Collect once the assignment is open." />
                    <fieldset class="field"><legend class="label">Taken</legend>
                        <div class="flex flex-wrap gap-x-5 gap-y-1">
                            @foreach (App\Extraction\FileKind::documents() as $kind)@php($fixedKind = $came !== null
                            && in_array($kind->value, $kinds,
                            true))<label @class(['quiet' => $fixedKind])>@if ($fixedKind)<input type="hidden"
                            name="kinds[]" value="{{ $kind->value }}">@endif<input type="checkbox" name="kinds[]"
                            value="{{ $kind->value }}" @checked(in_array($kind->value, $kinds, true))
                            @disabled($fixedKind)> .{{ $kind->value }}</label>@endforeach
                        @foreach (['typed' => 'typed text',
                            'link' => 'a link'] as $kind => $label)@php($fixedKind = $came !== null
                            && in_array($kind, $kinds,
                            true))<label @class(['quiet' => $fixedKind])>@if ($fixedKind)<input type="hidden"
                            name="kinds[]" value="{{ $kind }}">@endif<input type="checkbox" name="kinds[]"
                            value="{{ $kind }}" @checked(in_array($kind, $kinds, true)) @disabled($fixedKind)>
                            {{ $label }}</label>@endforeach</div>
                        @error('kinds')<p class="error">{{ $message }}</p>@enderror
                        <p class="hint">{{ $came ? 'Work has come in: more kinds can be taken, not fewer. '
                            : '' }}None ticked means every document and typed text. A link is not fetched, so its words are not screened.
                            </p></fieldset>
                    <div class="grid sm:grid-cols-2 gap-x-4">
                        <x-field name="max_files" label="Files, at most" inputmode="numeric"
                            :value="$a?->max_files ?? 1"
                            :hint="$came ? 'More can be allowed, not fewer.' : 'Several files become one script.'" />
                        <x-field name="self_checks" label="Drafts checked" inputmode="numeric"
                            :value="$a?->self_checks ?? 2"
                            hint="How many a student may have compared before handing in." />
                        @if (config('harbor.assistant.address') !== '')<x-field name="first_feedback"
                            label="First feedback on drafts, times" inputmode="numeric" :value="$a?->first_feedback ?? 0"
                            hint="How often a student may ask the outside writing assistant for remarks on a draft. 0: it is off. The draft leaves this system without its author’s name; students are told." />@endif
                        <x-field name="max_megabytes" label="Largest file, MB" inputmode="numeric"
                            :value="$a?->max_megabytes ?? config('harbor.upload.max_megabytes')"
                            :hint="$came ? 'Larger, not smaller.' : null" />
                    </div>
                </details>
                <details class="fold" {{ $fold('declaration', 'declaration.0.label', 'declaration.1.label',
                    'declaration.2.label', 'declaration.3.label') }}>
                    <summary><b>Declaration by students</b>
                    <span class="quiet small">{{ collect($declared)
                        ->filter(fn ($field) => ($field['label'] ?? '') !== '')->isEmpty() ? 'nothing'
                        : collect($declared)->pluck('label')->filter()
                        ->count().' fields, kept with each attempt' }}</span></summary>
                    <p class="hint mb-2">Sentences to confirm, and questions to answer, in your words. Empty rows are left out.
                    </p>
                    @foreach (array_pad(array_values($declared), min(12, count($declared) + 2), []) as $n => $field)
                        <div class="grid grid-cols-[110px_1fr_96px] gap-x-2 mb-2 items-start">
                            <input type="hidden" name="declaration[{{ $n }}][id]" value="{{ $field['id'] ?? '' }}">
                            <select class="input" name="declaration[{{ $n }}][kind]"
                                aria-label="Kind of field {{ $n + 1 }}">
                                <option value="confirm" @selected(($field['kind'] ?? '') === 'confirm')>confirm</option>
                                <option value="words" @selected(($field['kind'] ?? 'words') === 'words')>answer</option>
                                </select>
                            <textarea class="input min-h-9! field-sizing-content"
                                rows="{{ mb_strlen($field['label'] ?? '') > 46 ? 2 : 1 }}"
                                name="declaration[{{ $n }}][label]"
                                aria-label="Words of field {{ $n + 1 }}">{{ $field['label'] ?? '' }}</textarea>
                            <select class="input" name="declaration[{{ $n }}][required]"
                                aria-label="Field {{ $n + 1 }} is needed or not">
                                <option value="1" @selected(! in_array($field['required'] ?? true, [false, '0'], true))>
                                needed</option><option value="0"
                                @selected(in_array($field['required'] ?? true, [false, '0'], true))>optional</option>
                                </select>
                        </div>
                        @error("declaration.{$n}.label")<p class="error">{{ $message }}</p>@enderror
                    @endforeach
                </details>
                @endif
                <details class="fold" {{ $fold('late_cut_off', 'late_days', 'late_take', 'late_amount', 'late_grace',
                    'late_floor', 'word_limit', 'over_amount', 'over_step', 'over_grace', 'cap') }}>
                    <summary><b>Late, long, resit</b> <span class="quiet small">{{ $inWords['costs'] }}</span></summary>
                    <div class="grid sm:grid-cols-3 gap-x-4">
                        <x-choice name="late_take" label="Late work costs"
                            :options="$told && $late
                            ? array_intersect_key(['' => 'nothing', 'points' => 'marks',
                            'percent' => 'percent of the mark'], ['' => 1, $late['take'] => 1])
                            : ['' => 'nothing', 'points' => 'marks', 'percent' => 'percent of the mark']"
                            :value="$late['take'] ?? ''" :locked="$late ? null : $toldLate"
                            :hint="$told && $late ? 'Can be dropped: choose “nothing”.' : null" />
                        <x-field name="late_amount" :locked="$toldLate" label="How many" inputmode="decimal"
                            :value="$late['amount'] ?? '5'" />
                        <x-choice name="late_per" :locked="$toldLate" label="For each started"
                            :options="['day' => 'day', 'hour' => 'hour']" :value="$late['per'] ?? 'day'" />
                        <x-field name="late_grace" :locked="$toldLate" label="Grace, minutes" inputmode="numeric"
                            :value="(string) ($late['grace_minutes'] ?? '0')" />
                        <x-field name="late_floor" :locked="$toldLate" label="Not below" inputmode="decimal"
                            :value="$late['floor'] ?? '0'" hint="A mark already below it stays." />
                        <x-field name="late_cut_off" :locked="$toldLate" label="Nothing after" inputmode="numeric"
                            :value="(string) ($late['cut_off'] ?? '0')" hint="Started days or hours; 0: never." />
                        <x-choice name="late_days" :locked="$toldLate" label="Days that count"
                            :options="['all' => 'every day', 'weekends' => 'not weekends',
                            'closures' => 'not closure days', 'both' => 'neither of them']" :value="$lateDays" />
                        <p class="hint sm:col-span-2 self-center">
                            <a href="{{ route('closure-days.index',
                            $module) }}">Closure days of the module</a>: {{ $module->closureDays->count() ?: 'none' }}
                            so far.</p>
                        <x-field name="word_limit" label="Word limit" inputmode="numeric"
                            :value="(string) ($length['limit'] ?? '')" :locked="$length ? null : $toldLength"
                            :hint="$told ? 'Can be dropped: empty it.' : 'Empty: none.'" />
                        <x-field name="over_amount" :locked="$toldLength" label="Over it, marks off" inputmode="decimal"
                            :value="$length['amount'] ?? '0'" />
                        <x-field name="over_step" :locked="$toldLength" label="For each started %" inputmode="numeric"
                            :value="(string) ($length['step'] ?? '10')" />
                        <x-field name="over_grace" :locked="$toldLength" label="Grace, %" inputmode="numeric"
                            :value="(string) ($length['grace'] ?? '10')" />
                        <div class="sm:col-span-2 self-center"><span class="label">Not counted for length</span>
                            <label class="inline-block mr-4">@if ($told
                                && ! ($length['quotations'] ?? true))<input type="hidden" name="length_quotations"
                                value="1">@endif<input type="checkbox" name="length_quotations" value="1"
                                @checked((bool) old('length_quotations',
                                $errors->any() ? null : ! ($length['quotations'] ?? true))) @disabled($told !== null)>
                                Quotations</label>
                            <label class="inline-block">@if ($told
                                && ! ($length['bibliography'] ?? true))<input type="hidden" name="length_bibliography"
                                value="1">@endif<input type="checkbox" name="length_bibliography" value="1"
                                @checked((bool) old('length_bibliography',
                                $errors->any() ? null : ! ($length['bibliography'] ?? true))) @disabled($told !== null)>
                                The bibliography</label>
                            <p class="hint">Words that a reader of the file cannot see never count. Students are told.
                            </p></div>
                        <x-field name="cap" label="Most marks (resit)" inputmode="decimal" :value="$plain($a?->cap)"
                            :locked="$a?->cap === null ? $told : null"
                            :hint="$told ? 'Can be dropped: empty it.' : 'Empty: no cap.'" />
                    </div>
                </details>
                @include('plan.settling')
                <details class="fold" id="screening"
                    {{ $fold('overlap_min_words', 'overlap_seen', 'overlap_look', 'overlap_look_closely') }}>
                    <summary><b>Screening</b> <span class="quiet small">{{ $inWords['screen'] }}</span></summary>
                    <div class="grid sm:grid-cols-2 gap-x-4">
                        <x-field name="overlap_min_words" label="Shortest passage, words" inputmode="numeric"
                            :value="$screening->minWords" />
                        <x-choice name="overlap_seen" label="Overlap report of a script"
                            :options="collect(YoungHarbor\Core\Screening\ReportSeen::cases())
                            ->mapWithKeys(fn ($seen) => [$seen->value => __('screen.seen.'.$seen->value)])->all()"
                            :value="$screening->seen->value" />
                        <x-field name="overlap_look" label="Look from, percent" inputmode="decimal"
                            :value="$plain($screening->look)" />
                        <x-field name="overlap_look_closely" label="Look closely from, percent" inputmode="decimal"
                            :value="$plain($screening->lookClosely)"
                            hint="Lines for people to look at. They decide nothing." />
                        @php($ticked = fn (string $name, bool $now): bool => (bool) old($name,
                            $errors->any() ? null : $now))
                        <fieldset class="mb-3"><legend class="label">Left out of the share</legend>
                            <p class="hint mb-1">The brief and the templates always are. A reader of a report can turn each of these round, with a reason.
                            </p>
                            <label class="block py-1"><input type="checkbox" name="overlap_quotations" value="1"
                                @checked($ticked('overlap_quotations', $screening->quotations))> Quotations</label>
                            <label class="block py-1"><input type="checkbox" name="overlap_bibliography" value="1"
                                @checked($ticked('overlap_bibliography', $screening->bibliography))>
                                The bibliography</label>
                        </fieldset>
                        <fieldset class="mb-3"><legend class="label">Where to look</legend>
                            <p class="hint mb-1">The other hand-ins of this assignment always.</p>
                            <label class="block py-1"><input type="checkbox" name="overlap_module" value="1"
                                @checked($ticked('overlap_module', $screening->module))>
                                The module’s other assignments</label>
                            <label class="block py-1"><input type="checkbox" name="overlap_archive" value="1"
                                @checked($ticked('overlap_archive', $screening->archive))>
                                The archive of earlier cohorts</label>
                            @if (config('harbor.web.search') !== '')
                                <label class="block py-1"><input type="checkbox" name="overlap_web" value="1"
                                    @checked($ticked('overlap_web', $screening->web))> The open web
                                    <span class="hint">Sequences of {{ YoungHarbor\Core\Overlap\Distinctive::LENGTH }}
                                    words go to the search service, never a whole text and never a name. Students are told where they hand in.</span></label>
                            @endif
                        </fieldset>
                        <div class="sm:col-span-2 mb-3">
                            <label class="block py-1"><input type="checkbox" name="joins_archive" value="1"
                                @checked($ticked('joins_archive', $screening->joinsArchive))>
                                Scripts of this assignment join the archive, for later cohorts to be compared with
                                <span class="hint">Drafts never do. Students are told where they hand in.</span></label>
                            <label class="block py-1"><input type="checkbox" name="overlap_students" value="1"
                                @checked($ticked('overlap_students', $screening->students))>
                                Students see the report of their own script after the due time
                                <span class="hint">Their own words and pages of the open web; never what others wrote.</span></label>
                        </div>
                    </div>
                </details>
                <details class="fold" id="writing"
                    {{ $fold('writing_baseline', 'writing_alarm', 'writing_least_words') }}>
                    <summary><b>Writing signals</b>
                    <span class="quiet small">{{ $a?->writingBaseline
                        ? "beside “{$a->writingBaseline->name}”; ".App\Wording\WritingWords::alarm(
                        $a->screening->alarm->toFloat()) : 'not measured' }}</span></summary>
                    <p class="hint mb-2">How the writing of a script compares with texts you trust. It says where to begin a talk, never who wrote what. Students are told where they hand in; markers see the signals of a script when they see its overlap report.
                    <a href="{{ route('baselines.index', $module) }}">Baselines of this module</a></p>
                    <div class="grid sm:grid-cols-2 gap-x-4">
                        <x-choice name="writing_baseline" label="Compared with"
                            :options="['' => 'nothing: writing is not measured']
                            + $baselines->mapWithKeys(
                            fn ($one) => [$one->public_id => $one->name.', '.$one->size.' texts'])->all()"
                            :value="$a?->writingBaseline?->public_id ?? ''" />
                        <x-field name="writing_alarm" label="Alarm" inputmode="decimal"
                            :value="$plain($screening->alarm)"
                            hint="The share of honest scripts that you accept to be called unusual. 0.05: one in twenty." />
                        <x-field name="writing_least_words" label="Fewest words" inputmode="numeric"
                            :value="$screening->leastWords" hint="Of shorter texts nothing is said." />
                        @if (config('harbor.detector.address') !== '')
                            <label class="block self-center"><input type="checkbox" name="writing_detector" value="1"
                                @checked($ticked('writing_detector', $screening->detector))>
                                Ask the outside detector too
                                <span class="hint">Texts leave this installation, without names. Students are told where they hand in.
                                <a href="{{ route('detector.show',
                                    $module) }}">What leaves, what comes back</a></span></label>
                        @endif
                    </div>
                </details>
            </div>
        </div>
    </form>
    <div class="flex flex-wrap justify-end gap-3 mt-2">
        @if ($a)
            <a class="button" href="{{ route('plan.student', $a) }}">As a student sees it</a>
            <button class="button" type="button" data-opens="copy-assignment">Copy it</button>
            @unless ($open)<form method="post" action="{{ route('plan.open', $a) }}">
                @csrf<button class="button">Open it to students</button></form>@endunless
        @endif
        <button class="button primary" form="assignment">{{ $a ? 'Save' : 'Save, not open yet' }}</button>
    </div>
    @if ($a)
        <section class="mt-8 max-w-3xl">
            <h2 class="mb-1">Template files</h2>
            <p class="quiet small mb-2">
                Students find them beside the brief and begin from a copy. Their words, like those of the brief, do not count when scripts are compared.
                </p>
            @foreach ($a->templates as $template)
                <div class="flex items-baseline gap-4 py-1">
                    <a href="{{ route('templates.show',
                    $template) }}">{{ $template->name }}</a><span class="quiet small">{{ number_format(
                    max(1, $template->bytes / 1024)) }} KB</span>
                    <form class="ml-auto" method="post" action="{{ route('templates.destroy', $template) }}">@csrf
                    @method('delete')<button class="link small"
                        aria-label="Take away {{ $template->name }}">take away</button></form></div>
            @endforeach
            <form class="flex items-end gap-3" method="post" enctype="multipart/form-data"
                action="{{ route('templates.store', $a) }}">@csrf
                <label class="grow"><span class="sr-only">A template file</span><input class="input" type="file"
                    name="template"></label><button class="button">Add it</button></form>
        </section>
        <dialog id="copy-assignment" aria-labelledby="copy-assignment-title">
            <form method="post" action="{{ route('plan.copy', $a) }}">@csrf
                <h2 id="copy-assignment-title" class="mb-2">A copy of “{{ $a->title }}”</h2>
                <x-choice name="module" label="Into"
                    :options="$modules->mapWithKeys(fn ($m) => [$m->public_id => $m->fullTitle()])->all()"
                    :value="$module->public_id" hint="Everything but dates and people: brief, rubric, files, rules." />
                <div class="flex justify-end gap-3"><button class="button" type="button" data-closes>Close</button>
                <button class="button primary">Make the copy</button></div>
            </form>
        </dialog>
    @endif
    @if ($a?->rubricVersion)
        <h2 class="mt-8 mb-3">The rubric as students see it</h2>
        <x-rubric-view :rubric="$a->rubricVersion->toCore()" />
    @endif
</x-page>

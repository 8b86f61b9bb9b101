<x-page title="Comment bank" at="bank">
    <x-slot:head><div class="heading">
        <h1>Comment bank</h1><span
        class="of">comments worth using again; at the desk a semicolon and a few letters find them</span></div>
        </x-slot:head>
    <div class="split">
        <div>
            @forelse ($sets as $set)
                <section class="mb-7">
                    <div class="flex flex-wrap items-baseline gap-x-4 mb-2">
                        <h2>{{ $set->title }} <span class="quiet font-normal">{{ $set->module
                        ? $set->module->fullTitle().', shared by its team' : 'yours alone' }}</span></h2>
                        <span class="ml-auto flex gap-4 small"><a href="{{ route('bank.export',
                            [$set, 'csv']) }}">CSV</a><a href="{{ route('bank.export',
                            [$set, 'json']) }}">JSON</a></span></div>
                    <div class="sheet">
                        @forelse ($set->comments as $comment)
                            <details class="bank-row">
                                <summary><b>{{ $comment->label }}</b>
                                <span class="quiet small">{{ __(
                                    'mark.comment_kind.'.$comment->kind->value) }}{{ $comment->criterion !== ''
                                    ? ' · '.$comment->criterion : '' }}
                                    · {{ $comment->used === 1 ? 'used once'
                                        : "used {$comment->used} times" }}</span><span class="block small"
                                        dir="auto">{{ Str::limit($comment->text, 160) }}</span></summary>
                                <form class="px-4 pb-3" method="post"
                                    action="{{ route('bank.comments.update', $comment) }}">@csrf @method('put')
                                    <input type="hidden" name="seen" value="{{ $comment->lock_version }}">
                                    <div class="grid sm:grid-cols-3 gap-x-4">
                                        <label class="field"><span class="label">Label</span><input class="input"
                                            name="label" value="{{ $comment->label }}" maxlength="80"></label>
                                        <label class="field"><span class="label">Kind</span><select class="input"
                                            name="kind">@foreach (YoungHarbor\Core\Text\CommentKind::cases() as $kind)
                                            <option value="{{ $kind->value }}"
                                                @selected($comment->kind === $kind)>
                                                {{ __('mark.comment_kind.'.$kind->value) }}</option>@endforeach
                                                </select></label>
                                        <label class="field"><span class="label">Criterion</span><input class="input"
                                            name="criterion" value="{{ $comment->criterion }}" maxlength="200"></label>
                                    </div>
                                    <div class="field"><label class="label"
                                        for="b-{{ $comment->public_id }}">Comment</label><textarea class="input"
                                        id="b-{{ $comment->public_id }}" name="text" rows="3"
                                        dir="auto">{{ $comment->text }}</textarea></div>
                                    <div class="flex justify-end"><button class="button">Save</button></div>
                                </form>
                                <form class="px-4 pb-3 text-right" method="post"
                                    action="{{ route('bank.comments.destroy', $comment) }}">@csrf
                                    @method('delete')<button class="link small"
                                        aria-label="Delete “{{ $comment->label }}”">delete</button></form>
                            </details>
                        @empty
                            <p class="quiet px-4 py-3">
                                Empty. At the desk, “keep in the bank” puts a comment here; or import a file.</p>
                        @endforelse
                    </div>
                    @if ($set->deletedComments->isNotEmpty())
                        <details class="mt-2"><summary class="link small">
                            deleted in the last {{ App\Models\BankComment::KEPT_DAYS }}
                            days: {{ $set->deletedComments->count() }}</summary>
                            <ul class="sheet mt-2">@foreach ($set->deletedComments as $comment)
                            <li class="px-4 py-2 flex flex-wrap gap-x-4 items-baseline">
                                <b>{{ $comment->label }}</b><span class="small grow"
                                dir="auto">{{ Str::limit($comment->text, 120) }}</span><form method="post"
                                action="{{ route('bank.comments.restore', $comment->public_id) }}">
                                @csrf<button class="link small"
                                aria-label="Restore “{{ $comment->label }}”">restore</button></form></li>@endforeach
                                </ul></details>
                    @endif
                    <details class="mt-2"><summary class="link small">add to this set</summary>
                        <form class="panel mt-2" method="post"
                            action="{{ route('bank.comments.store') }}">@csrf<input type="hidden" name="set"
                            value="{{ $set->public_id }}">
                            <div class="grid sm:grid-cols-3 gap-x-4">
                                <label class="field"><span class="label">Label</span><input class="input" name="label"
                                maxlength="80"></label>
                                <label class="field"><span class="label">Kind</span><select class="input" name="kind">
                                    @foreach (YoungHarbor\Core\Text\CommentKind::cases() as $kind)<option
                                    value="{{ $kind->value }}">{{ __('mark.comment_kind.'.$kind->value) }}</option>
                                    @endforeach</select></label>
                                <label class="field"><span class="label">Criterion</span><input class="input"
                                    name="criterion" maxlength="200"></label></div>
                            <div class="field"><label class="label"
                                for="b-{{ $set->public_id }}">Comment</label><textarea class="input"
                                id="b-{{ $set->public_id }}" name="text" rows="3"></textarea></div>
                            <div class="flex justify-end"><button class="button">Add it</button></div></form>
                        <form class="panel mt-2 flex flex-wrap items-end gap-3" method="post"
                            enctype="multipart/form-data" action="{{ route('bank.import', $set) }}">@csrf
                            <label class="grow"><span class="label">A CSV or JSON file
                            <span class="hint">columns Label, Comment, Kind, Criterion</span></span><input class="input"
                                type="file" name="file"></label><button class="button">Import</button></form>
                    </details>
                </section>
            @empty
                <x-empty title="No set yet">
                    A set holds comments that you, or the team of a module, use again. Make one here; or write a comment at the desk and keep it.
                    </x-empty>
            @endforelse
        </div>
        <aside><form class="panel" method="post" action="{{ route('bank.make') }}">@csrf
            <h2 class="mb-2">A new set</h2>
            <x-field name="title" label="Name" maxlength="120" />
            <x-choice name="module" label="For"
                :options="['' => 'yourself']
                + $modules->mapWithKeys(fn ($module) => [$module->public_id => 'the team of '.$module->fullTitle()])
                ->all()" />
            <div class="flex justify-end"><button class="button primary">Create the set</button></div></form></aside>
    </div>
</x-page>

<?php

declare(strict_types=1);

namespace App\Http\Controllers\Moderate;

use App\Actions\Moderate\ChangePack;
use App\Actions\Moderate\MakePack;
use App\Actions\Moderate\ReadInPack;
use App\Actions\Moderate\SayOnPack;
use App\Actions\Moderate\SendPack;
use App\Actions\Moderate\SetModerators;
use App\Actions\Moderate\SignPack;
use App\Documents\PackZip;
use App\Enums\PackRequest;
use App\Exceptions\Refused;
use App\Http\Controllers\Controller;
use App\Http\Requests\Moderate\AnswerPackRequest;
use App\Http\Requests\Moderate\ChangePackRequest;
use App\Http\Requests\Moderate\MakePackRequest;
use App\Http\Requests\Moderate\ModeratorsRequest;
use App\Http\Requests\Moderate\SayOnPackRequest;
use App\Http\Requests\Moderate\SendPackRequest;
use App\Http\Requests\Moderate\SignPackRequest;
use App\Models\Assignment;
use App\Models\PackNote;
use App\Models\SamplePack;
use App\Queries\Moderate\PackChanges;
use App\Queries\Moderate\SignOff;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\StreamedResponse;
use YoungHarbor\Core\Rubric\Rubric;

/**
 * Sample packs: put together and sent by coordinators, read and signed by a moderator or an examiner.
 */
final class PackController extends Controller
{
    public function index(Assignment $assignment, SignOff $signOff): View
    {
        $this->authorize('coordinate', $assignment);

        return view('moderate.packs', [
            'assignment' => $assignment, 'readers' => $signOff->readers($assignment),
            'team' => $signOff->team($assignment), 'moderators' => $signOff->moderators($assignment),
            'missing' => $signOff->missing($assignment),
            'packs' => SamplePack::query()->where('assignment_id', $assignment->id)
                ->with(['person:id,name', 'notes.answers'])->withCount('scripts')->latest('id')->get(),
        ]);
    }

    public function moderators(
        ModeratorsRequest $request, Assignment $assignment, SetModerators $set,
    ): RedirectResponse {
        $set(
            $assignment, array_values(array_filter((array) $request->input('moderators', []), is_string(...))),
            $this->person($request),
        );

        return redirect()->route('packs.index', $assignment)->with('said', 'Saved who moderates.');
    }

    public function store(
        MakePackRequest $request, Assignment $assignment, MakePack $make, SignOff $signOff,
    ): RedirectResponse {
        [$kind, $person] = $signOff->reader($assignment, (string) $request->input('reader'))
            ?? throw new Refused('Choose a moderator of this assignment or an external examiner of the module.', 'reader');
        $pack = $make(
            $assignment, $kind, $person, $request->rule(), $request->boolean('recordings'), $this->person($request),
        );

        return redirect()->route('packs.show', $pack)->with(
            'said', 'The pack is put together, and nobody else sees it yet. Change it by hand, then send it.',
        );
    }

    public function show(Request $request, SamplePack $pack, PackChanges $changes): View
    {
        $this->authorize('read', $pack);
        $pack->load(['assignment.module', 'person:id,name', 'notes.author:id,name', 'notes.answers.author:id,name']);
        $scripts = $pack->scripts()->with('script:id,code')->get()->sortBy(fn ($one) => $one->script->code)->values();

        return view('moderate.pack', [
            'pack' => $pack, 'assignment' => $pack->assignment, 'scripts' => $scripts,
            'changed' => $pack->sent_at === null ? [] : $changes->of($pack, $scripts),
            'corrections' => $pack->assignment->approvedCorrections(),
            'rubric' => isset($pack->document['rubric']) ? Rubric::fromArray($pack->document['rubric']) : null,
            'reads' => $pack->reader_id === $this->person($request)->id,
        ]);
    }

    public function script(Request $request, SamplePack $pack, string $code, ReadInPack $read): View
    {
        $this->authorize('read', $pack);
        $scripts = $pack->scripts()->whereNotNull('document')->with('script:id,code')->get()
            ->sortBy(fn ($one) => $one->script->code)->values();
        $at = $scripts->search(fn ($one) => $one->script->code === $code);
        is_int($at) || abort(404);
        $one = $scripts->get($at) ?? abort(404);
        $reads = $pack->reader_id === $this->person($request)->id;
        $reads && $read($one);

        return view('moderate.pack-script', [
            'pack' => $pack->load('assignment.module'), 'assignment' => $pack->assignment, 'one' => $one,
            'd' => $one->document, 'place' => $at + 1, 'all' => $scripts->count(), 'reads' => $reads,
            'previous' => $scripts->get($at - 1), 'next' => $scripts->get($at + 1),
            'notes' => PackNote::query()->where('pack_script_id', $one->id)->with('author:id,name')->orderBy('id')->get(),
        ]);
    }

    public function update(ChangePackRequest $request, SamplePack $pack, ChangePack $change): RedirectResponse
    {
        $assignment = $pack->assignment;
        $drop = $request->boolean('drop');
        $change(
            $pack, $request->string('put')->trim()->value(),
            array_values(array_filter((array) $request->input('out', []), is_string(...))), $drop,
            $this->person($request),
        );

        return $drop
            ? redirect()->route('packs.index', $assignment)->with('said', 'The pack is dropped; it was not sent.')
            : redirect()->route('packs.show', $pack);
    }

    public function send(SendPackRequest $request, SamplePack $pack, SendPack $send): RedirectResponse
    {
        $send($pack, $request->string('letter')->trim()->value(), $this->person($request));

        return redirect()->route('packs.show', $pack)
            ->with('said', "Sent to {$pack->person->name}, who finds it on Today and by mail.");
    }

    public function say(SayOnPackRequest $request, SamplePack $pack, SayOnPack $say): RedirectResponse
    {
        $code = $request->string('script')->value();
        $on = $code === '' ? null : $pack->scripts()->whereHas('script', fn ($script) => $script->where('code', $code))
            ->firstOrFail();
        $say(
            $pack, $this->person($request), $request->string('body')->trim()->value(), $on,
            PackRequest::tryFrom($request->string('asks_for')->value()),
        );

        return $on === null
            ? redirect()->route('packs.show', $pack)->with('said', 'The team sees what you ask for.')
            : redirect()->route('packs.script', [$pack, $code])->with('said', 'Noted.');
    }

    public function answer(AnswerPackRequest $request, SamplePack $pack, SayOnPack $say): RedirectResponse
    {
        $asked = PackNote::query()->where('sample_pack_id', $pack->id)->where('kind', PackNote::REQUEST)
            ->findOrFail($request->integer('request'));
        $say($pack, $this->person($request), $request->string('body')->trim()->value(), null, null, $asked);

        return redirect()->route('packs.show', $pack)->with('said', 'Answered.');
    }

    public function sign(SignPackRequest $request, SamplePack $pack, SignPack $sign): RedirectResponse
    {
        $sign($pack, $request->string('statement')->trim()->value(), $this->person($request));

        return redirect()->route('packs.show', $pack)->with('said', 'Signed. Thank you.');
    }

    public function zip(Request $request, SamplePack $pack, PackZip $zip): StreamedResponse
    {
        $this->authorize('read', $pack);

        return $zip->of($pack, $this->person($request));
    }
}

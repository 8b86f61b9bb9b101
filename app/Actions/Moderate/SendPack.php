<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Documents\PackDocument;
use App\Enums\PackState;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\PackSent;
use App\Models\Mark;
use App\Models\PackScript;
use App\Models\SamplePack;
use App\Models\Script;
use App\Models\User;
use App\Queries\Moderate\PackChoice;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;

/**
 * Freezes a pack and gives it to its reader. What changes later in the marks is listed as changed; the pack is not.
 */
final class SendPack
{
    public function __construct(
        private readonly PackDocument $document,
        private readonly PackChoice $choice,
        private readonly Logbook $logbook,
    ) {
    }

    /**
     * @throws Refused when it is empty, sent already, or holds a script that is not agreed any more
     */
    public function __invoke(SamplePack $pack, string $letter, User $by): void
    {
        DB::transaction(function () use ($pack, $letter, $by): void {
            $stored = SamplePack::query()->lockForUpdate()->findOrFail($pack->id);
            $stored->state === PackState::Gathering || throw new Refused('This pack has been sent already.');
            $in = $stored->scripts()->with('script')->get();
            $in->isNotEmpty() || throw new Refused('The pack is empty: put scripts into it first.');
            $may = $this->choice->scripts($stored->assignment, $stored->reader, $stored->person)->pluck('id');
            $not = $in->reject(fn (PackScript $one) => $may->contains($one->script_id))
                ->map(fn (PackScript $one) => $one->script->code);
            $not->isEmpty() || throw new Refused(
                'Not sent: '.$not->implode(', ').' '.($not->count() === 1 ? 'is' : 'are').' not agreed any more, or marked by who is to sign. Take them out, or wait.',
            );
            $letters = PackDocument::letters(
                Mark::counting()->where('assignment_id', $stored->assignment_id)->with('marker:id,public_id')->get(),
            );
            foreach ($in as $one) {
                $script = Script::query()->with(['marks.rubricVersion', 'marks.handin.files', 'settlement', 'assignment'])
                    ->findOrFail($one->script_id);
                $document = $this->document->script($script, $letters);
                $one->update(['document' => $document, 'sha256' => PackDocument::sha256($document)]);
            }
            $stored->update([
                'state' => PackState::Sent, 'sent_at' => now(), 'letter' => $letter,
                'document' => $this->document->assignment($stored->assignment),
            ]);
            $this->logbook->write(Entry::of(LogEvent::PackSent)->on($stored->assignment)->by($by)->with(
                scripts: $in->count(), to: $stored->person, plan: $stored->public_id,
            ));
            Mail::to($stored->person->email)->queue((new PackSent($stored))->afterCommit());
        });
    }
}

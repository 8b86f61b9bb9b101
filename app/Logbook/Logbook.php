<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Exceptions\LogbookBroken;
use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use LogicException;
use YoungHarbor\Core\Logbook\Chain;
use YoungHarbor\Core\Logbook\ChainHead;
use YoungHarbor\Core\Logbook\HeadKey;

/**
 * The chained audit log: who did what to which mark when.
 *
 * Lines carry script codes or people, never both, since reading the logbook must not reveal whose script is whose.
 * The head (how many lines, the last hash, signed) is also kept outside the database, so that lines cut off the end
 * show too.
 */
final class Logbook
{
    /** Lines a statement. */
    private const AT_ONCE = 500;

    private bool $isSealing = false;

    /** @var list<int> numbers of lines written here that no head was signed for yet */
    private array $open = [];

    public function __construct(
        private readonly HeadKey $key,
        private readonly HeadStore $heads,
    ) {
    }

    /** Writes a line about something that changed nothing else: a list taken, someone signed in. */
    public function note(Entry $entry): void
    {
        DB::transaction(fn () => $this->write($entry));
    }

    /** Writes a line inside the transaction that makes the change, so that both stand or neither does. */
    public function write(Entry $entry): void
    {
        $this->writeAll([$entry]);
    }

    /**
     * Writes lines one after the other, likewise.
     *
     * @param  list<Entry>  $entries
     */
    public function writeAll(array $entries): void
    {
        if (DB::transactionLevel() === 0) {
            throw new LogicException('The logbook is written in the transaction of the change it records.');
        }
        $last = DB::table('logbook_head')->where('id', 1)->lockForUpdate()->first();
        if ($last === null) {
            DB::table('logbook_head')->insertOrIgnore(['id' => 1, 'count' => 0, 'hash' => Chain::BEGINNING]);
            $last = DB::table('logbook_head')->where('id', 1)->lockForUpdate()->sole();
        }
        $this->refuseBroken((int) $last->count);
        [$number, $hash] = [(int) $last->count, (string) $last->hash];
        foreach (array_chunk($entries, self::AT_ONCE) as $some) {
            $lines = $texts = [];
            foreach ($some as $entry) {
                [$content, $said] = $this->content($entry);
                $number++;
                $hash = Chain::link($hash, $number, Chain::contentHash($content));
                $lines[] = [
                    'number' => $number, 'hash' => $hash,
                    ...array_map(
                        fn (mixed $one) => is_array($one) ? json_encode($one, JSON_THROW_ON_ERROR) : $one, $content,
                    ),
                ];
                foreach ($said as $field => $text) {
                    $texts[] = ['number' => $number, 'field' => $field, ...$text];
                }
                $this->open[] = $number;
            }
            DB::table('logbook_lines')->insert($lines);
            $texts === [] || DB::table('logbook_texts')->insert($texts);
        }
        DB::table('logbook_head')->where('id', 1)->update(['count' => $number, 'hash' => $hash]);
        DB::afterCommit(function () use ($number, $hash): void {
            $this->open = [];
            $this->heads->advance($this->key->sign($number, $hash));
        });
    }

    /**
     * @return array{array<string, mixed>, array<string, array{salt: string, text: string}>} what is chained, and the texts beside it
     */
    private function content(Entry $entry): array
    {
        $actor = $entry->by ?? Auth::user();
        $texts = array_map(fn (string $text) => ['salt' => Str::random(32), 'text' => $text], $entry->texts);

        return [[
            'at' => now('UTC')->format('Y-m-d H:i:s.u'), 'actor' => $actor instanceof User ? $actor->public_id : null,
            'module' => $entry->module?->public_id, 'assignment' => $entry->assignment?->public_id,
            'event' => $entry->event->value,
            'subject_kind' => $entry->subject?->kind, 'subject' => $entry->subject?->key, 'details' => $entry->details,
            'texts' => array_map(fn (array $text) => Chain::commitment($text['salt'], $text['text']), $texts),
        ], $texts];
    }

    public function head(): ?ChainHead
    {
        return $this->heads->head();
    }

    /** With which anyone can check the head, in hexadecimal. */
    public function publicKey(): string
    {
        return $this->key->publicKey();
    }

    /** Takes the signed head away, to where it can be looked at, so that the next line signs the logbook anew. */
    public function setAsideHead(): ?ChainHead
    {
        $head = $this->heads->head();
        $this->heads->setAside();
        $this->isSealing = true;

        return $head;
    }

    /**
     * The line that the head was signed with must stand where it stood: the database may be ahead of the head, never
     * behind it or beside it.
     *
     * @throws LogbookBroken
     */
    private function refuseBroken(int $count): void
    {
        $head = $this->heads->head();
        if ($count === 0) { // what was written here before was rolled back
            $this->open = [];
        }
        // The very first lines, all of one transaction, have no head yet.
        if ($this->isSealing || ($head === null && ($count === 0 || $this->open === range(1, $count)))) {
            return;
        }
        if ($head === null) {
            throw new LogbookBroken(
                "The head of the logbook is missing from {$this->heads->place()}, while the database has {$count} lines."
            );
        }
        if (! $head->isSignedBy($this->key->publicKey())) {
            throw new LogbookBroken('The head of the logbook has been altered, or was signed with another key.');
        }
        // A locking read, because it sees what others have committed since this transaction first looked.
        $there = $head->count === 0
            ? Chain::BEGINNING
            : DB::table('logbook_lines')->where('number', $head->count)->sharedLock()->value('hash');
        if ($head->count > $count || $there !== $head->hash) {
            throw new LogbookBroken(
                "The logbook in the database stands at line {$count}, and line {$head->count} is not the one its head was signed with."
            );
        }
    }
}

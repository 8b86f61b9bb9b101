<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Exceptions\LogbookBroken;
use App\Models\Assignment;
use App\Models\LogbookLine;
use App\Models\Module;
use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use LogicException;
use YoungHarbor\Core\Logbook\Chain;
use YoungHarbor\Core\Logbook\Head;

/**
 * The chained audit log: who did what to which mark when.
 *
 * Lines carry script codes or people, never both, since reading the logbook must not reveal whose script is whose.
 * The head (how many lines, the last hash, sealed with the key) is also kept in a file outside the database, so that
 * lines cut off the end show too.
 */
final class Logbook
{
    private bool $isSealing = false;

    /** @var list<int> numbers of lines written here that no head was sealed for yet */
    private array $open = [];

    public function __construct(
        private readonly Chain $chain,
        private readonly string $headFile,
    ) {
    }

    /**
     * Writes a line inside the transaction that makes the change, so that both stand or neither does.
     *
     * @param  string  $action  what was done, as a verb phrase in the past tense
     * @param  string  $subject  to what, without names while they are hidden
     * @param  array<string, scalar|null|array<array-key, scalar|null>>  $details
     */
    public function write(string $action, string $subject, array $details = [], ?Module $module = null, ?Assignment $assignment = null, ?User $actor = null): void
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
        $number = (int) $last->count + 1;
        $line = [
            'at' => now('UTC')->format('Y-m-d H:i:s.u'),
            'actor_id' => $actor->id ?? Auth::id(),
            'module_id' => $module->id ?? $assignment?->module_id,
            'assignment_id' => $assignment?->id,
            'action' => $action,
            'subject' => mb_substr($subject, 0, 255),
            'details' => $details,
        ];
        $hash = $this->chain->hash($last->hash, $number, $line);
        LogbookLine::query()->create(['number' => $number, 'hash' => $hash, ...$line]);
        DB::table('logbook_head')->where('id', 1)->update(['count' => $number, 'hash' => $hash]);
        $this->open[] = $number;
        DB::afterCommit(fn () => $this->keepHead($number, $hash));
    }

    /** Takes the sealed head away, to where it can be looked at, so that the next line seals the logbook anew. */
    public function setAsideHead(): ?Head
    {
        $head = $this->head();
        is_file($this->headFile) && rename($this->headFile, $this->headFile.'.before-'.now('UTC')->format('Ymd-His'));
        $this->isSealing = true;

        return $head;
    }

    /**
     * The line that the head was sealed with must stand where it stood: the database may be ahead of the head, never
     * behind it or beside it.
     *
     * @throws LogbookBroken
     */
    private function refuseBroken(int $count): void
    {
        $head = $this->head();
        if ($count === 0) { // what was written here before was rolled back
            $this->open = [];
        }
        // The very first lines, all of one transaction, have no head yet.
        if ($this->isSealing || ($head === null && ($count === 0 || $this->open === range(1, $count)))) {
            return;
        }
        if ($head === null) {
            throw new LogbookBroken("The head of the logbook is missing from {$this->headFile}, while the database has {$count} lines.");
        }
        if (! hash_equals($this->chain->seal($head->count, $head->hash), $head->seal)) {
            throw new LogbookBroken('The head of the logbook has been altered, or was sealed with another key.');
        }
        // A locking read, because it sees what others have committed since this transaction first looked.
        $there = $head->count === 0 ? Chain::BEGINNING : DB::table('logbook_lines')->where('number', $head->count)->sharedLock()->value('hash');
        if ($head->count > $count || $there !== $head->hash) {
            throw new LogbookBroken("The logbook in the database stands at line {$count}, and line {$head->count} is not the one its head was sealed with.");
        }
    }

    public function head(): ?Head
    {
        $stored = is_file($this->headFile) ? json_decode((string) file_get_contents($this->headFile), true) : null;

        return is_array($stored) && is_int($stored['count'] ?? null) && is_string($stored['hash'] ?? null) && is_string($stored['seal'] ?? null)
            ? new Head($stored['count'], $stored['hash'], $stored['seal'])
            : null;
    }

    /** Two commits may come here in either order: the head never goes back. */
    private function keepHead(int $count, string $hash): void
    {
        if (! is_dir(dirname($this->headFile))) {
            mkdir(dirname($this->headFile), 0700, true);
        }
        $this->open = [];
        $lock = fopen($this->headFile.'.lock', 'c');
        if ($lock === false || ! flock($lock, LOCK_EX)) {
            throw new LogicException('The logbook head cannot be locked.');
        }
        if (($this->head()->count ?? 0) < $count) {
            $new = $this->headFile.'.new';
            file_put_contents($new, json_encode(['count' => $count, 'hash' => $hash, 'seal' => $this->chain->seal($count, $hash)], JSON_THROW_ON_ERROR));
            rename($new, $this->headFile);
        }
        fclose($lock);
    }
}

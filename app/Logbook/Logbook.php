<?php

declare(strict_types=1);

namespace App\Logbook;

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
        DB::afterCommit(fn () => $this->keepHead($number, $hash));
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

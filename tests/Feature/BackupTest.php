<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Backup\BackupFailed;
use App\Backup\BackupKey;
use App\Backup\BringBack;
use App\Backup\Manifest;
use App\Backup\Pieces;
use App\Backup\Vault;
use Illuminate\Support\Facades\File;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/**
 * The parts a backup is made of; the whole is rehearsed by bin/test with the demo.
 */
final class BackupTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/backup-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        File::deleteDirectory($this->folder);
        parent::tearDown();
    }

    private function key(string $letter = 'a'): BackupKey
    {
        file_put_contents("{$this->folder}/{$letter}.key", base64_encode(str_repeat($letter, 32))."\n");

        return BackupKey::ofFile("{$this->folder}/{$letter}.key");
    }

    /**
     * @param  iterable<string>  $pieces
     */
    private function whole(iterable $pieces): string
    {
        return implode('', iterator_to_array((fn () => yield from $pieces)(), false));
    }

    /**
     * @return array<string, array{string}>
     */
    public static function contents(): array
    {
        return [
            'nothing' => [''], 'a letter' => ['x'], 'a piece to the byte' => [str_repeat('0123456789abcdef', 4096)],
            'a byte more' => [str_repeat('0123456789abcdef', 4096).'!'], 'some pieces' => [random_bytes(300_001)],
        ];
    }

    #[DataProvider('contents')]
    public function test_what_is_packed_and_sealed_comes_back_to_the_byte(string $content): void
    {
        $sealed = $this->whole(Pieces::sealed(Pieces::packed(str_split($content, 7001)), $this->key()));
        $opened = Pieces::opened(str_split($sealed, 999), $this->key());
        self::assertSame($content, $this->whole(Pieces::unpacked($opened)));
        strlen($content) < 100 || self::assertStringNotContainsString(substr($content, 0, 64), $sealed);
        // Packed as everyone else packs it.
        self::assertSame($content, gzdecode($this->whole(Pieces::packed([$content]))));
    }

    public function test_what_was_altered_cut_off_put_elsewhere_or_sealed_with_another_key_is_refused(): void
    {
        $content = random_bytes(200_000);
        $sealed = $this->whole(Pieces::sealed([$content], $this->key()));
        $piece = 65_536 + 17;
        $faults = [
            'a bit' => substr_replace($sealed, chr(ord($sealed[70_000]) ^ 1), 70_000, 1), 'its end' => substr($sealed, 0, -1),
            'its last piece' => substr($sealed, 0, 24 + $piece), 'only its head' => substr($sealed, 0, 24), 'nothing' => '',
            'two pieces the other way round' => substr($sealed, 0, 24).substr($sealed, 24 + $piece, $piece)
                .substr($sealed, 24, $piece).substr($sealed, 24 + 2 * $piece),
            'more at the end' => $sealed.substr($sealed, 24, $piece),
        ];
        foreach ($faults as $which => $bytes) {
            try {
                $this->whole(Pieces::opened([$bytes], $this->key()));
                self::fail("{$which} was taken");
            } catch (BackupFailed $e) {
                self::assertStringContainsString('backup', $e->getMessage());
            }
        }
        $this->expectException(BackupFailed::class);
        $this->whole(Pieces::opened([$sealed], $this->key('b')));
    }

    public function test_a_key_is_a_key_or_says_how_one_is_made(): void
    {
        file_put_contents("{$this->folder}/short", base64_encode('short'));
        foreach (["{$this->folder}/none", "{$this->folder}/short"] as $path) {
            try {
                BackupKey::ofFile($path);
                self::fail('taken');
            } catch (BackupFailed $e) {
                self::assertStringContainsString('head -c 32 /dev/urandom | base64', $e->getMessage());
            }
        }
        self::assertNotSame($this->key()->fingerprint(), $this->key('b')->fingerprint());
    }

    public function test_contents_lie_once_and_go_with_the_last_set_that_names_them(): void
    {
        $vault = new Vault("{$this->folder}/vault", $this->key());
        foreach (['one', 'two', 'three'] as $text) {
            file_put_contents("{$this->folder}/{$text}", "the text of {$text}");
        }
        foreach ([['20270101T000000Z', ['one', 'two']], ['20270102T000000Z', ['two', 'three']]] as [$set, $texts]) {
            $lines = '';
            foreach ($texts as $text) {
                $sum = hash('sha256', "the text of {$text}");
                $vault->has($vault->name($sum)) || $vault->keep("{$this->folder}/{$text}", $sum);
                $lines .= json_encode(['path' => $text, 'bytes' => 5, 'at' => 1, 'sha256' => $sum])."\n";
            }
            $part = $vault->put($set, Vault::FILES, Pieces::packed([$lines]));
            $vault->finish($set, new Manifest('2027-01-01T00:00:00Z', '1', $this->key()->fingerprint(), 'x', [Vault::FILES => $part], 2, 10));
        }
        self::assertSame(['20270101T000000Z', '20270102T000000Z'], $vault->sets());
        self::assertCount(3, File::allFiles("{$this->folder}/vault/files"));
        self::assertStringNotContainsString('the text', $this->whole(Pieces::ofFile(File::allFiles("{$this->folder}/vault/files")[0]->getPathname())));
        self::assertSame(['sets' => 1, 'files' => 1], $vault->tidy(1));
        self::assertSame(['20270102T000000Z'], $vault->sets());
        self::assertSame('the text of two', $this->whole($vault->content($vault->name(hash('sha256', 'the text of two')))));
        self::assertSame(['sets' => 0, 'files' => 0], $vault->tidy(1));

        $why = fn (\Throwable $e): string => $e->getMessage();
        $said = fn (callable $do): string => (string) rescue($do, $why, report: false);
        $check = fn (?BackupKey $key): string => $said(function () use ($key): string {
            app(BringBack::class)->check(new Vault("{$this->folder}/vault", $key), '20270102T000000Z', fn () => null);

            return 'whole';
        });
        self::assertSame('whole', $check($this->key()));
        self::assertStringContainsString('give its key', $check(null));
        self::assertStringContainsString('another key', $check($this->key('b')));
        $manifest = "{$this->folder}/vault/sets/20270102T000000Z/manifest.json";
        $was = (string) file_get_contents($manifest);
        file_put_contents($manifest, str_replace('"files": 2', '"files": 1', $was));
        self::assertStringContainsString('was altered', $check($this->key()));
        file_put_contents($manifest, $was);
        File::delete(File::allFiles("{$this->folder}/vault/files")[0]->getPathname());
        self::assertStringContainsString('is missing', $check($this->key()));
    }

    public function test_a_file_that_changes_while_it_is_copied_is_not_kept_as_what_it_was(): void
    {
        $vault = new Vault("{$this->folder}/vault", null);
        file_put_contents("{$this->folder}/one", 'other words');
        $this->expectExceptionMessage('changed while it was being copied');
        $vault->keep("{$this->folder}/one", hash('sha256', 'the words'));
    }

    public function test_two_backups_into_one_folder_do_not_meet(): void
    {
        $one = new Vault("{$this->folder}/vault", null);
        $one->lock();
        $this->expectExceptionMessage('under way already');
        (new Vault("{$this->folder}/vault", null))->lock();
    }

    public function test_commands_say_what_is_wrong_and_change_nothing(): void
    {
        $this->artisan('harbor:restore', ['folder' => "{$this->folder}/none"])
            ->expectsOutputToContain('There is no backup in')->assertFailed();
        $this->artisan('harbor:backup', ['folder' => "{$this->folder}/vault", '--keep' => 'all'])
            ->expectsOutputToContain('--keep takes')->assertFailed();
        $this->artisan('harbor:backup', ['folder' => '/proc/none'])->expectsOutputToContain('cannot be made')->assertFailed();
        self::assertSame([], (new Vault("{$this->folder}/vault", null))->sets());
    }
}

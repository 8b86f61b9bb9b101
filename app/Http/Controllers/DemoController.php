<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Membership;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Support\Facades\File;
use Symfony\Component\Finder\SplFileInfo;

/**
 * Pages that exist only in the demo: the list of sign-ins, and the mail that the sink has kept.
 */
final class DemoController extends Controller
{
    public function people(): View
    {
        return view('demo.people', [
            'people' => User::query()->with('memberships.module')->get()
                ->sortBy(
                    fn (User $user) => $user->is_admin
                        ? 9
                        : array_search(
                            $user->memberships->first()?->role->value, ['coordinator', 'tutor', 'examiner', 'student'],
                            true,
                        )
                )
                ->groupBy(
                    fn (User $user) => $user->is_admin
                        ? 'administrator'
                        : ($user->memberships->first(fn (Membership $m) => true)?->role->label() ?? 'no module yet')
                ),
        ]);
    }

    public function mail(): View
    {
        $folder = (string) config('harbor.mail');
        $files = is_dir($folder) ? array_reverse(collect(File::files($folder))->filter(
            fn (SplFileInfo $file) => $file->getExtension() === 'eml'
        )
            ->sortBy(fn (SplFileInfo $file) => $file->getFilename())->values()->all()) : [];

        return view(
            'demo.mail',
            ['mails' => array_map($this->read(...), array_slice($files, 0, 200)), 'count' => count($files)],
        );
    }

    /**
     * @return array{to: string, subject: string, date: string, body: string}
     */
    private function read(SplFileInfo $file): array
    {
        [$head, $body] = array_pad(explode("\r\n\r\n", $file->getContents(), 2), 2, '');
        $header = fn (string $name): string => preg_match('/^'.$name.':\s*(.+(?:\r\n[ \t].+)*)/mi', $head, $match) === 1
            ? iconv_mime_decode(preg_replace('/\r\n[ \t]+/', ' ', $match[1]) ?? '', 2, 'UTF-8') ?: ''
            : '';

        return [
            'to' => $header('To'),
            'subject' => $header('Subject'),
            'date' => $header('Date'),
            'body' => stripos($head, 'quoted-printable') !== false ? quoted_printable_decode($body) : $body,
        ];
    }
}

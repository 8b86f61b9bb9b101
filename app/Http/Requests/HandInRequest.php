<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\Collect\KeepTypedText;
use App\Extraction\Refusal;
use App\Handins\WorkReader;
use App\Models\Assignment;
use App\Models\Script;
use App\Models\Upload;
use App\Models\User;
use Illuminate\Contracts\Validation\Validator;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Arr;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\ValidationException;
use LogicException;
use YoungHarbor\Core\Collect\Declaration;
use YoungHarbor\Core\Collect\WebLink;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Work as the hand-in form sends it: files with it or sent before it, typed text, or a link, and the declaration.
 */
final class HandInRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user()?->can('sendWork', $this->assignment()) === true;
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        $most = (int) config('harbor.upload.max_megabytes');

        return [
            'file' => ['nullable', 'required_without_all:typed_text,files,uploads,link', 'file', 'max:'.$most * 1024],
            'files' => ['nullable', 'array', 'max:20'], 'files.*' => ['file', 'max:'.$most * 1024],
            'uploads' => ['nullable', 'array', 'max:20'], 'uploads.*' => ['string', 'max:40'],
            'typed_text' => ['nullable', 'string', 'max:400000'],
            'link' => ['nullable', 'string', 'max:2000'],
            'declare' => ['nullable', 'array'], 'declare.*' => ['nullable', 'string', 'max:4000'],
            'once' => ['nullable', 'uuid'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        $most = (int) config('harbor.upload.max_megabytes');

        return [
            'file.max' => "This file is larger than {$most} MB. Hand in the text alone; pictures can usually be made smaller in your writing program.",
            'file.uploaded' => "The file did not arrive whole, or is larger than {$most} MB. Choose it again.",
            'file.required_without_all' => $this->assignment()->takesLinks()
                ? 'Choose a file, type your text, or give a link.'
                : 'Choose a file, or type your text.',
            'files.*.max' => "One of these files is larger than {$most} MB. Nothing was handed in.",
            'files.*.uploaded' => "One of these files did not arrive whole, or is larger than {$most} MB. Choose them again.",
            'typed_text.max' => 'This text is longer than 400,000 characters; hand it in as a file.',
            'declare.*.max' => 'An answer of the declaration has at most 4,000 characters.',
        ];
    }

    /** Typed text is kept when the form is refused: it may be hours of work. */
    public function keepTyped(): void
    {
        $script = Script::query()->where('assignment_id', $this->assignment()->id)
            ->where('student_id', $this->student()->id)->first();
        $text = $this->input('typed_text');
        if ($script !== null && is_string($text) && $text !== '' && mb_strlen($text) <= 400_000) {
            app(KeepTypedText::class)($script, $text, null);
        }
    }

    protected function failedValidation(Validator $validator): void
    {
        $this->keepTyped();
        parent::failedValidation($validator);
    }

    /**
     * @return list<UploadedFile|string|WebLink>
     *
     * @throws Refusal
     */
    public function works(): array
    {
        $files = [...array_values(Arr::wrap($this->file('files'))), ...array_values(Arr::wrap($this->file('file')))];
        foreach ($this->uploads() as $upload) {
            $files[] = new UploadedFile(Storage::path($upload->path()), $upload->name, null, null, true);
        }
        if ($this->filled('link')) {
            $files[] = $this->webLink();
        }

        $typed = (string) $this->input('typed_text');
        if ($files !== [] && trim($typed) !== '') {
            if (count($files) >= $this->assignment()->max_files) {
                throw new Refusal(
                    'You chose '.(
                        count($files) === 1 ? 'a file' : 'files'
                    ).' and typed a text; this assignment takes '.(
                        $this->assignment()->max_files === 1 ? 'one of them' : "{$this->assignment()->max_files} in all"
                    )
                        .'. Both are still here: empty the text field to hand in the file, or take the file away to hand in the text.'
                );
            }
            $files[] = $typed;
        }

        return $files === [] ? [$typed] : $files;
    }

    /**
     * @throws Refusal
     */
    private function webLink(): WebLink
    {
        try {
            return WebLink::of((string) $this->input('link'), WorkReader::masks($this->authors()));
        } catch (InvalidInput $e) {
            throw new Refusal($e->faults[0]->what);
        }
    }

    /** When the first piece of the last of the files sent ahead had arrived; null when anything came with the form. */
    public function ahead(): ?Carbon
    {
        $last = $this->uploads()->max('first_at');
        $withForm = $this->hasFile('file') || $this->hasFile('files')
            || trim((string) $this->input('typed_text')) !== '' || $this->filled('link');

        return $last instanceof Carbon && ! $withForm ? $last : null;
    }

    /**
     * @return list<array{label: string, answer: string}>|null
     *
     * @throws ValidationException naming what is still to be declared
     */
    public function declared(): ?array
    {
        $fields = $this->assignment()->declaration;
        if ($fields === null) {
            return null;
        }
        try {
            return Declaration::fromArray($fields)->answers((array) $this->input('declare', []));
        } catch (InvalidInput $e) {
            throw ValidationException::withMessages(
                collect($e->faults)->mapWithKeys(fn (Fault $fault) => ["declare.{$fault->place}" => $fault->what])
                    ->all()
            );
        }
    }

    /**
     * Files that were sent before, in the order chosen.
     *
     * @return Collection<int, Upload>
     *
     * @throws ValidationException when one is not there, or not whole
     */
    public function uploads(): Collection
    {
        $ids = array_values(array_filter((array) $this->input('uploads', []), is_string(...)));
        $found = Upload::query()->where('assignment_id', $this->assignment()->id)
            ->where('student_id', $this->student()->id)->whereIn('public_id', $ids)->whereNotNull('whole_at')->get()
            ->keyBy('public_id');
        if ($found->count() !== count($ids)) {
            throw ValidationException::withMessages(
                [
                    'file' => 'A file has not arrived whole, or was sent too long ago. Press the button again; what has arrived is not sent twice.',
                ]
            );
        }

        return collect($ids)->map(fn (string $id) => $found->get($id) ?? throw new LogicException('Each was found.'));
    }

    /**
     * @return list<User>
     */
    private function authors(): array
    {
        $script = Script::query()->where('assignment_id', $this->assignment()->id)
            ->where('student_id', $this->student()->id)->first();

        return $script === null || ! $this->assignment()->handin_by->isGroup()
            ? [$this->student()]
            : array_values($script->group()->map(fn (Script $each) => $each->student)->all());
    }

    private function assignment(): Assignment
    {
        $assignment = $this->route('assignment');

        return $assignment instanceof Assignment
            ? $assignment
            : throw new LogicException('The form belongs to an assignment.');
    }

    private function student(): User
    {
        $user = $this->user();

        return $user instanceof User ? $user : throw new LogicException('Nobody is signed in.');
    }
}

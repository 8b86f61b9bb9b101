<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('scripts', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->foreignId('student_id')->constrained('users')->restrictOnDelete();
            $table->string('code', 20);
            $table->string('group_name', 60)->nullable();
            $table->foreignId('lead_id')->nullable()->constrained('scripts')->restrictOnDelete()
                ->comment('the script of the group that is marked, when it has one mark');
            $table->foreignId('current_handin_id')->nullable();
            $table->dateTime('received_at')->nullable()
                ->comment('of the attempt that counts, for counting a cohort without reading its work');
            $table->boolean('late')->default(false)->comment('likewise');
            $table->text('held_reason')->nullable();
            $table->string('standing', 20)->default('expected')->comment('where it stands, as the core works it out');
            $table->string('reached', 20)->default('expected')->comment('how far it has got, held or not');
            $table->boolean('second_done')->default(false)->comment('whether a second mark is done');
            $table->string('sampled', 10)->default('undecided')->comment('whether it is in the sample marked twice');
            $table->dateTime('settle_told_at')->nullable()->comment('when its markers were last told that their date is past');
            $table->dateTime('to_settle_at')->nullable()->comment('since when it waits to be settled');
            $table->string('screening', 20)->default('not-begun')
                ->comment('where its screening is, and whether it asks for a look');
            $table->boolean('held')->storedAs('held_reason IS NOT NULL');
            $table->dateTime('brief_opened_at')->nullable();
            $table->dateTime('template_taken_at')->nullable();
            $table->dateTime('left_at')->nullable()->comment('when its student left the module');
            $table->dateTime('due_at')->nullable()
                ->comment('for this student: with allowances, extension and the group');
            $table->dateTime('closes_at')->nullable();
            $table->string('waived_reason', 500)->nullable()->comment('why lateness costs nothing here');
            $table->foreignId('waived_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->dateTime('waived_at')->nullable();
            $table->timestamps();
            $table->unique(['assignment_id', 'student_id']);
            $table->unique(['assignment_id', 'code']);
            $table->index(['assignment_id', 'group_name']);
            $table->index(['student_id', 'due_at']);
            $table->index(
                ['assignment_id', 'reached', 'held', 'second_done', 'screening', 'lead_id', 'left_at', 'sampled'],
                'scripts_counts_index',
            );
            $table->index(['assignment_id', 'standing']);
            $table->index(
                [
                    'assignment_id', 'received_at', 'left_at', 'late', 'due_at', 'brief_opened_at', 'student_id',
                    'current_handin_id', 'lead_id', 'held',
                ],
                'scripts_cohort_index',
            );
        });
        Schema::create('works', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->string('kind', 20)->comment('what it is that is marked: a hand-in, later posts or an observation');
        });
        Schema::create('handins', function (Blueprint $table): void {
            $table->foreignId('id')->primary()->constrained('works')->restrictOnDelete()->comment('of the work it is');
            $table->uuid('public_id')->unique();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->unsignedSmallInteger('attempt');
            $table->foreignId('handed_in_by')->constrained('users')->comment('the student, or a member of their group');
            $table->unsignedBigInteger('bytes');
            $table->char('sha256', 64)->comment('of the file; of several files, of their sums in order, a line each');
            $table->unsignedInteger('words');
            $table->unsignedInteger('hidden_words')->default(0)
                ->comment('of them; none of these is in two of the three');
            $table->unsignedInteger('quoted_words')->default(0);
            $table->unsignedInteger('bibliography_words')->default(0);
            $table->mediumText('text')->comment('as screening compares it; the author is masked');
            $table->mediumText('html')->comment(
                'as markers read it: written from the tree of what is allowed, the author masked'
            );
            $table->boolean('settable')->default(true)->comment('whether its text can be set as PDF here');
            $table->json('notes')->comment('what the student was told about the file');
            $table->dateTime('due_at')->comment('the due time in force when it came in');
            $table->boolean('late');
            $table->dateTime('received_at')->comment('when it arrived; created_at is when that was recorded');
            $table->dateTime('read_at')->nullable();
            $table->dateTime('erased_at')->nullable()->comment('since when its text and files are gone');
            $table->unsignedTinyInteger('files_read')->default(0);
            $table->string('unreadable', 600)->nullable()
                ->comment('why it could not be read, as its student is told; then it does not count');
            $table->json('declaration')->nullable()->comment('what was declared with it, questions and answers');
            $table->json('identity')->comment('where the author was named in it, and what became of that');
            $table->dateTime('prepared_at')->nullable()
                ->comment('when pages and pictures had been looked through for names');
            $table->string('prepare_failure', 500)->nullable();
            $table->enum('alone', ['hidden', 'left'])->nullable()
                ->comment('what a coordinator decided of a family name that stands alone in it');
            $table->foreignId('alone_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->json('hidden')->nullable()
                ->comment('[kind, words or a note]: white or tiny text, pages without text');
            $table->char('seal', 64)->comment('of the receipt');
            $table->uuid('once')->nullable()->comment('made by the page, so that a request sent twice hands in once');
            $table->timestamps();
            $table->unique(['script_id', 'attempt']);
            $table->unique(['script_id', 'once']);
            $table->index(['read_at', 'created_at']);
            $table->rawIndex('`unreadable`(1)', 'handins_unreadable_index'); // few are, and every cohort page asks
        });
        Schema::create('handin_files', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('handin_id')->constrained()->restrictOnDelete();
            $table->unsignedTinyInteger('position');
            $table->string('kind', 10);
            $table->string('original_name', 255)->comment('sealed: shown to its student only');
            $table->string('path', 255);
            $table->string('pages_path', 255)->nullable()->comment('of a PDF: its pages drawn anew, without names');
            $table->unsignedSmallInteger('pages')->nullable();
            $table->json('unread')->nullable()
                ->comment('pages that hold a picture in which names could not be looked for');
            $table->string('link', 500)->nullable()->comment('the address, when a link was handed in');
            $table->unsignedBigInteger('bytes');
            $table->char('sha256', 64);
            $table->unsignedInteger('words');
            $table->unique(['handin_id', 'position']);
        });
        Schema::create('handin_copies', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('handin_id')->constrained()->restrictOnDelete();
            $table->string('kind', 10);
            $table->string('path', 255)->comment('made from the text as markers read it, to take away');
            $table->unique(['handin_id', 'kind']);
        });
        Schema::create('uploads', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->foreignId('student_id')->constrained('users')->restrictOnDelete();
            $table->string('name', 255);
            $table->unsignedBigInteger('bytes')->comment('of the whole file');
            $table->char('sha256', 64)->comment('of the whole file, as the browser worked it out before sending');
            $table->unsignedBigInteger('arrived')->default(0);
            $table->dateTime('first_at')->nullable()->comment('when its first piece arrived');
            $table->dateTime('whole_at')->nullable();
            $table->timestamps();
            $table->index(['student_id', 'assignment_id']);
            $table->index('updated_at');
        });
        Schema::create('typed_texts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->foreignId('student_id')->constrained('users')->restrictOnDelete();
            $table->mediumText('text');
            $table->unsignedInteger('lock_version')->default(1);
            $table->timestamps();
            $table->unique(['script_id', 'student_id']);
        });
        Schema::create('extensions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->foreignId('student_id')->constrained('users')->restrictOnDelete();
            $table->dateTime('due_at');
            $table->string('reason', 500);
            $table->foreignId('given_by')->constrained('users')->restrictOnDelete();
            $table->dateTime('ended_at')->nullable();
            $table->foreignId('ended_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->timestamps();
            $table->index(['assignment_id', 'student_id']);
        });
        Schema::create('messages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->foreignId('sent_by')->constrained('users')->restrictOnDelete();
            $table->string('subject', 200);
            $table->text('body')->comment('with its placeholders');
            $table->string('shown', 80)->comment('to whom, in words');
            $table->unsignedInteger('recipients');
            $table->timestamps();
        });
        Schema::create('draft_checks', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->foreignId('student_id')->constrained('users')->restrictOnDelete();
            $table->unsignedInteger('words');
            $table->mediumText('text')->comment(
                'for its student alone: no fingerprint of a draft is kept, nothing is ever compared with it'
            );
            $table->json('notes');
            $table->json('files')->nullable()->comment('[name, kind, path] until they are read');
            $table->enum('state', ['waiting', 'running', 'ready', 'failed'])->default('waiting');
            $table->unsignedInteger('compared')->default(0);
            $table->unsignedInteger('to_compare')->default(0);
            $table->decimal('share', 4, 1)->nullable();
            $table->json('found')->nullable()
                ->comment('what it shares with which sources, their figures and places; no source learns of it');
            $table->string('failure', 600)->nullable();
            $table->timestamps();
            $table->index(['script_id', 'student_id']);
        });
        Schema::table('scripts', function (Blueprint $table): void {
            $table->foreign('current_handin_id')->references('id')->on('handins')->restrictOnDelete();
        });
    }
};

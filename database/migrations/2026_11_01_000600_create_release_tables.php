<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('releases', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->json('scope')->comment('which results: all, by script code or by section');
            $table->string('state', 20);
            $table->dateTime('due_at')->nullable()->comment('when it is to go out; null: at once');
            $table->boolean('provisional')->comment('until a board confirms');
            $table->boolean('with_marks')->comment('or feedback alone, the marks with a later one');
            $table->string('subject', 200);
            $table->text('body')->comment('of the mail to each student, with placeholders');
            $table->foreignId('made_by')->constrained('users')->restrictOnDelete();
            $table->dateTime('beat_at')->nullable()->comment('when whoever prepares it last said so');
            $table->dateTime('out_at')->nullable();
            $table->unsignedInteger('chosen')->default(0)->comment('results that were to go out');
            $table->unsignedInteger('released')->default(0);
            $table->json('left_out')->comment('why, by script code');
            $table->string('refused', 600)->nullable()->comment('why none of it went out');
            $table->foreignId('stopped_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->timestamps();
            $table->index(['state', 'due_at']);
        });
        Schema::create('prepared_results', function (Blueprint $table): void {
            $table->foreignId('release_id')->constrained()->cascadeOnDelete();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->uuid('public_id');
            $table->json('document');
            $table->decimal('mark', 7, 3)->nullable();
            $table->string('band', 60)->nullable();
            $table->char('stamp', 64)->comment('of what it was made from, so that a later change shows');
            $table->primary(['release_id', 'script_id']);
        });
        Schema::create('results', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->foreignId('release_id')->nullable()->constrained()->restrictOnDelete();
            $table->unsignedSmallInteger('version')->default(1);
            $table->json('document')->comment('exactly what was released');
            $table->decimal('mark', 7, 3)->nullable()->comment('null: feedback without a mark');
            $table->string('shown', 12)->nullable()->storedAs("json_value(document, '$.mark')")
                ->comment('the mark at its decimals, so that no document has to be read for it');
            $table->string('band', 60)->nullable();
            $table->boolean('provisional')->default(false)->comment('as it went out; until confirmed_at');
            $table->dateTime('confirmed_at')->nullable()->comment('when a board of examiners confirmed it');
            $table->text('what_changed')->default('')->comment('and why, where it took the place of an earlier one');
            $table->foreignId('released_by')->constrained('users');
            $table->dateTime('released_at');
            $table->dateTime('replaced_at')->nullable()->comment('when a corrected one took its place');
            $table->dateTime('first_opened_at')->nullable();
            $table->dateTime('last_opened_at')->nullable();
            $table->unsignedInteger('openings')->default(0);
            $table->unsignedInteger('seconds_open')->default(0);
            $table->dateTime('mark_asked_at')->nullable()->comment('when its student asked for the mark, the feedback read');
            $table->timestamps();
            $table->unique(['script_id', 'version']);
            // One that holds a script.
            $table->unsignedBigInteger('holding_script_id')->nullable()
                ->storedAs('if(replaced_at is null, script_id, null)');
            $table->unique('holding_script_id');
        });
        Schema::create('reply_threads', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->string('about', 60)->comment('whole, criterion:… or comment:…');
            $table->dateTime('closed_at')->nullable();
            $table->foreignId('closed_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->timestamps();
            $table->unique(['script_id', 'about']);
        });
        Schema::create('replies', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('reply_thread_id')->constrained()->restrictOnDelete();
            $table->foreignId('author_id')->constrained('users')->restrictOnDelete();
            $table->boolean('from_student');
            $table->text('body');
            $table->string('file_path', 255)->nullable();
            $table->string('file_name', 200)->default('');
            $table->string('file_mime', 100)->default('');
            $table->string('file_state', 10)->default('none')->comment('of its text without names');
            $table->mediumText('file_text')->nullable();
            $table->timestamps();
        });
        Schema::create('reply_readings', function (Blueprint $table): void {
            $table->foreignId('reply_thread_id')->constrained()->restrictOnDelete();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->unsignedBigInteger('read_to')->comment('the last reply that was there when it was opened');
            $table->primary(['reply_thread_id', 'user_id']);
        });
        Schema::create('comment_views', function (Blueprint $table): void {
            $table->foreignId('result_id')->constrained()->restrictOnDelete();
            $table->uuid('comment')->comment('that came into view');
            $table->dateTime('seen_at');
            $table->primary(['result_id', 'comment']);
        });
        Schema::create('feedback_ratings', function (Blueprint $table): void {
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->string('about', 60)->comment('whole, or comment:…');
            $table->boolean('useful');
            $table->timestamps();
            $table->primary(['script_id', 'about']);
        });
        Schema::create('reflections', function (Blueprint $table): void {
            $table->foreignId('script_id')->primary()->constrained()->restrictOnDelete();
            $table->uuid('public_id')->unique();
            $table->json('answers')->comment('prompt and text, one each');
            $table->unsignedInteger('words');
            $table->timestamps();
        });
        Schema::create('reviews', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->foreignId('result_id')->unique()->constrained()->restrictOnDelete()->comment('one a result');
            $table->string('ground', 20);
            $table->text('text');
            $table->string('file_path', 255)->nullable();
            $table->string('file_name', 200)->default('');
            $table->string('file_state', 10)->default('none')->comment('of its text without names');
            $table->mediumText('file_text')->nullable();
            $table->string('state', 20);
            $table->dateTime('answer_by');
            $table->foreignId('with_id')->nullable()->constrained('users')->restrictOnDelete();
            $table->text('advice')->default('')->comment('of whoever it is with, for coordinators');
            $table->dateTime('advised_at')->nullable();
            $table->foreignId('decided_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->dateTime('decided_at')->nullable();
            $table->text('answer')->default('')->comment('as the student reads it');
            $table->foreignId('new_result_id')->nullable()->constrained('results')->restrictOnDelete();
            $table->timestamps();
            $table->index(['state', 'answer_by']);
            $table->index(['with_id', 'state']);
        });
        Schema::create('individual_cases', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->string('kind', 20);
            $table->decimal('marks', 5, 1)->nullable()->comment('added, or taken off');
            $table->text('reason')->comment('for coordinators alone: it may be about health');
            $table->foreignId('decided_by')->constrained('users')->restrictOnDelete();
            $table->dateTime('ended_at')->nullable();
            $table->foreignId('ended_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->text('ended_reason')->default('');
            $table->timestamps();
            $table->index(['script_id', 'ended_at']);
            $table->index('ended_at');
        });
        Schema::create('notices', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->foreignId('assignment_id')->nullable()->constrained()->restrictOnDelete();
            $table->string('kind', 30);
            $table->string('once', 100)->unique()->comment('what it tells of, so that it is told once');
            $table->string('title', 300);
            $table->string('link', 300)->comment('a path of this application');
            $table->dateTime('read_at')->nullable();
            $table->string('subject', 300)->default('');
            $table->text('body')->nullable()->comment('of the mail; null when none is sent');
            $table->string('mail', 10)->comment('where its mail is');
            $table->dateTime('mail_from')->nullable()->comment('not before then');
            $table->unsignedTinyInteger('tries')->default(0);
            $table->dateTime('taken_at')->nullable()->comment('when a worker took its mail in hand');
            $table->dateTime('sent_at')->nullable();
            $table->string('failure', 500)->nullable();
            $table->timestamps();
            $table->index(['user_id', 'read_at']);
            $table->index(['mail', 'mail_from']);
            $table->index(['assignment_id', 'kind', 'mail']);
        });
        // Worked out anew when what they come from has changed: kept so that a grade book is sorted by them.
        Schema::create('module_marks', function (Blueprint $table): void {
            $table->foreignId('membership_id')->primary()->constrained()->restrictOnDelete();
            $table->foreignId('module_id')->constrained()->restrictOnDelete();
            $table->decimal('mark', 6, 3)->nullable()->comment('rounded; null where there is none to work out');
            $table->string('shown', 10)->nullable();
            $table->string('band', 60)->nullable();
            $table->boolean('passed')->default(false);
            $table->boolean('complete')->default(false);
            $table->string('just_below', 10)->nullable()->comment('the boundary it is borderline to');
            $table->string('why', 300)->default('')->comment('why there is none');
            $table->index(['module_id', 'mark']);
        });
        Schema::create('board_sheets', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('module_id')->constrained()->restrictOnDelete();
            $table->json('sheet')->comment('as the board confirmed it');
            $table->char('digest', 64);
            $table->unsignedInteger('results_confirmed');
            $table->string('note', 500)->default('');
            $table->foreignId('confirmed_by')->constrained('users')->restrictOnDelete();
            $table->timestamps();
        });
        Schema::create('member_notes', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('membership_id')->constrained()->restrictOnDelete();
            $table->text('body');
            $table->boolean('student_reads');
            $table->foreignId('author_id')->constrained('users')->restrictOnDelete();
            $table->dateTime('taken_back_at')->nullable();
            $table->timestamps();
        });
        Schema::table('users', function (Blueprint $table): void {
            $table->boolean('daily_mail')->default(false)->comment('one mail a day in place of one each; results come at once');
            $table->boolean('no_reminders')->default(false);
        });
        Schema::create('logbook_lines', function (Blueprint $table): void {
            // No foreign keys: whom and what a line names is known by random ids, and may be erased.
            $table->unsignedBigInteger('number')->primary();
            $table->dateTime('at', 6);
            $table->uuid('actor')->nullable();
            $table->uuid('module')->nullable();
            $table->uuid('assignment')->nullable();
            $table->string('event', 60);
            $table->string('subject_kind', 20)->nullable();
            $table->string('subject', 60)->nullable()->comment('a script\'s code, or a random id');
            $table->json('details');
            $table->json('texts')->comment('a commitment to each free text, by field');
            $table->char('hash', 64);
            $table->char('content_hash', 64)->nullable()->comment('of a line whose content was let go');
            $table->string('room', 20)->storedAs("SUBSTRING_INDEX(event, '.', 1)")->comment('the kind of what happened');
            $table->index(['module', 'number']);
            $table->index(['module', 'room', 'number']);
            $table->index(['module', 'actor', 'number']);
            $table->index(['module', 'subject', 'number']);
            $table->index(['assignment', 'number']);
            $table->index(['assignment', 'event', 'subject']);
            $table->index('at');
        });
        Schema::create('logbook_texts', function (Blueprint $table): void {
            $table->unsignedBigInteger('number');
            $table->string('field', 40);
            $table->char('salt', 32)->nullable();
            $table->mediumText('text')->nullable()->comment('null once erased');
            $table->primary(['number', 'field']);
            $table->foreign('number')->references('number')->on('logbook_lines')->restrictOnDelete();
        });
        Schema::create('logbook_head', function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->unsignedBigInteger('count');
            $table->char('hash', 64);
        });
    }
};

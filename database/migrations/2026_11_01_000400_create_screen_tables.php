<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('overlap_sources', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->enum('kind', ['handin', 'archive', 'web']);
            $table->unsignedBigInteger('shelf')->nullable()
                ->comment('the assignment, 0 for the archive; web pages stand on none');
            $table->foreignId('handin_id')->nullable()->constrained()->restrictOnDelete();
            $table->foreignId('module_id')->nullable()->constrained()->restrictOnDelete()
                ->comment('whose coordinators may take it out');
            $table->string('title', 300)->default('')->comment('of a page, or what an earlier text was written for');
            $table->string('cohort', 60)->default('')->comment('of an earlier text, in words');
            $table->string('url', 500)->nullable();
            $table->char('sha256', 64)->nullable()->comment('of the text of a page or an earlier text');
            $table->mediumText('text')->nullable()
                ->comment('of pages and earlier texts; that of a hand-in stands with it');
            $table->unsignedInteger('words');
            $table->binary('numbers')->comment('64 bits a word, for alignment without reading the text again');
            $table->dateTime('fetched_at')->nullable();
            $table->dateTime('indexed_at')->nullable();
            $table->dateTime('taken_out_at')->nullable();
            $table->foreignId('taken_out_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->string('taken_out_reason', 300)->nullable();
            $table->timestamps();
            $table->unique(['kind', 'handin_id']);
            $table->index(['kind', 'module_id', 'taken_out_at']);
            $table->index(['url', 'fetched_at']);
        });
        DB::statement('ALTER TABLE overlap_sources MODIFY numbers MEDIUMBLOB NOT NULL');
        // The prints of a shelf lie together, those of a hash beside each other: a look-up reads what it needs and no
        // more.
        Schema::create('overlap_prints', function (Blueprint $table): void {
            $table->unsignedInteger('shelf');
            $table->unsignedBigInteger('hash');
            $table->unsignedInteger('source_id');
            $table->primary(['shelf', 'hash', 'source_id']);
        });
        Schema::create('overlap_reports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('handin_id')->unique()->constrained()->cascadeOnDelete();
            $table->enum('state', ['waiting', 'running', 'ready', 'failed', 'stopped', 'nothing'])->default('waiting');
            $table->text('failure')->nullable();
            $table->unsignedInteger('compared')->default(0);
            $table->unsignedInteger('to_compare')->default(0);
            $table->char('settings', 32)->nullable()
                ->comment('what it was compared with and how, to tell when that has changed');
            $table->unsignedInteger('words')->default(0);
            $table->unsignedInteger('counted')->default(0);
            $table->unsignedInteger('matched')->default(0);
            $table->decimal('share', 4, 1)->default(0);
            $table->unsignedInteger('runs')->default(0);
            $table->unsignedInteger('close_runs')->default(0);
            $table->unsignedInteger('close_words')->default(0);
            $table->unsignedInteger('sources')->default(0);
            $table->foreignId('largest_source_id')->nullable()->constrained('overlap_sources')->nullOnDelete();
            $table->unsignedInteger('largest_words')->default(0);
            $table->json('places')->nullable()
                ->comment('[why, from, to] of given passages, quotations and the bibliography');
            $table->json('left_out')->nullable()->comment('words by reason');
            $table->json('hiding')->nullable()->comment('ways of keeping words from being compared, with their places');
            $table->enum('web_state', ['off', 'waiting', 'running', 'ready', 'part', 'failed'])->default('off');
            $table->unsignedInteger('web_asked')->default(0);
            $table->unsignedInteger('web_to_ask')->default(0);
            $table->string('web_failure', 300)->nullable();
            $table->dateTime('finished_at')->nullable();
            $table->timestamps();
        });
        Schema::create('overlap_matches', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('overlap_report_id')->constrained()->cascadeOnDelete();
            $table->foreignId('overlap_source_id')->constrained()->cascadeOnDelete();
            $table->json('runs')->comment('as aligned with this source alone: lists of [from, source_from, length]');
            $table->json('close')->comment('close wording, likewise');
            $table->unsignedInteger('words')->comment(
                'identical words in all its runs, without those of the brief and the templates'
            );
            $table->unsignedInteger('close_words')->comment('likewise, in close wording');
            $table->unique(['overlap_report_id', 'overlap_source_id']);
        });
        Schema::create('overlap_choices', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('overlap_report_id')->constrained()->cascadeOnDelete();
            $table->enum('what', ['quotations', 'bibliography', 'short', 'source', 'passage']);
            $table->boolean('leave_out')->default(true)
                ->comment('quotations and a bibliography may also be counted after all');
            $table->foreignId('overlap_source_id')->nullable()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('from_word')->nullable()
                ->comment('of a passage; of short runs the fewest words that count');
            $table->unsignedInteger('to_word')->nullable();
            $table->string('reason', 300);
            $table->foreignId('made_by')->constrained('users')->restrictOnDelete();
            $table->dateTime('undone_at')->nullable();
            $table->foreignId('undone_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->timestamps();
        });
        Schema::create('conversation_entries', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->foreignId('handin_id')->constrained()->restrictOnDelete()->comment('the attempt that was read');
            $table->enum('found', ['attributed', 'talk', 'said', 'nothing', 'support', 'referred', 'note']);
            $table->text('why');
            $table->text('questions')->nullable()->comment('prepared for a talk');
            $table->boolean('student_sees')->default(false)->comment('decided by a coordinator, entry by entry');
            $table->dateTime('student_read_at')->nullable();
            $table->json('seen')->comment('the figures and passages as they stood when it was written');
            $table->boolean('held')->default(false)->comment('whether the result was held with it');
            $table->foreignId('written_by')->constrained('users')->restrictOnDelete();
            $table->timestamps();
            $table->index(['script_id', 'created_at']);
        });
        Schema::create('conversation_people', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('script_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->foreignId('named_by')->constrained('users')->restrictOnDelete();
            $table->timestamps();
            $table->unique(['script_id', 'user_id']);
        });
    }
};

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
            $table->foreignId('lead_id')->nullable()->constrained('scripts')->restrictOnDelete()->comment('the script of the group that is marked, when it has one mark');
            $table->foreignId('current_handin_id')->nullable();
            $table->text('held_reason')->nullable();
            $table->dateTime('brief_opened_at')->nullable();
            $table->timestamps();
            $table->unique(['assignment_id', 'student_id']);
            $table->unique(['assignment_id', 'code']);
            $table->index(['assignment_id', 'group_name']);
        });
        Schema::create('handins', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->unsignedSmallInteger('attempt');
            $table->foreignId('handed_in_by')->constrained('users')->comment('the student, or a member of their group');
            $table->unsignedBigInteger('bytes');
            $table->char('sha256', 64)->comment('of the file; of several files, of their sums in order, a line each');
            $table->unsignedInteger('words');
            $table->mediumText('text')->comment('as screening compares it; the author is masked');
            $table->mediumText('html')->comment('as markers read it: sanitised, the author masked');
            $table->json('notes')->comment('what the student was told about the file');
            $table->dateTime('due_at')->comment('the due time in force when it came in');
            $table->boolean('late');
            $table->dateTime('received_at');
            $table->timestamps();
            $table->unique(['script_id', 'attempt']);
        });
        Schema::create('handin_files', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('handin_id')->constrained()->restrictOnDelete();
            $table->unsignedTinyInteger('position');
            $table->string('kind', 10);
            $table->string('original_name', 255)->comment('sealed: shown to its student only');
            $table->string('path', 255);
            $table->unsignedBigInteger('bytes');
            $table->char('sha256', 64);
            $table->unsignedInteger('words');
            $table->unique(['handin_id', 'position']);
        });
        Schema::create('draft_checks', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->foreignId('student_id')->constrained('users')->restrictOnDelete();
            $table->unsignedInteger('words');
            $table->mediumText('text')->comment('for its student alone: no fingerprint of a draft is kept, nothing is ever compared with it');
            $table->json('notes');
            $table->enum('state', ['waiting', 'running', 'ready', 'failed'])->default('waiting');
            $table->unsignedInteger('compared')->default(0);
            $table->unsignedInteger('to_compare')->default(0);
            $table->decimal('share', 4, 1)->nullable();
            $table->json('pieces')->nullable()->comment('words that also stand elsewhere, as [from, to) of its words; never where');
            $table->timestamps();
            $table->index(['script_id', 'student_id']);
        });
        Schema::table('scripts', function (Blueprint $table): void {
            $table->foreign('current_handin_id')->references('id')->on('handins')->restrictOnDelete();
        });
    }
};

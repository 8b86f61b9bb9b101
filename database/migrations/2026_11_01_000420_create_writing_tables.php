<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('writing_baselines', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('module_id')->constrained()->restrictOnDelete();
            $table->string('name', 150);
            $table->string('language', 60);
            $table->unsignedInteger('version')->default(1)->comment('goes up whenever its texts change');
            $table->unsignedInteger('worked_out_version')->default(0)
                ->comment('the version that the figures below are of');
            $table->unsignedInteger('size')->default(0)->comment('texts that belong');
            $table->json('spread')->nullable()->comment('by signal: nine in ten texts lie between, and the middle');
            $table->string('failure', 500)->nullable();
            $table->timestamps();
            $table->unique(['module_id', 'name']);
        });
        Schema::create('writing_texts', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('writing_baseline_id')->constrained()->restrictOnDelete();
            $table->string('title', 300);
            $table->mediumText('text');
            $table->char('sha256', 64);
            $table->unsignedInteger('words');
            $table->string('misfit', 500)->nullable()->comment('why it does not belong; null when it does');
            $table->double('turn')->nullable()->comment('the largest turn of style in it');
            $table->unsignedInteger('added_version');
            $table->unsignedInteger('taken_out_version')->nullable();
            $table->string('taken_out_reason', 300)->nullable();
            $table->foreignId('added_by')->constrained('users')->restrictOnDelete();
            $table->timestamps();
            $table->unique(['writing_baseline_id', 'sha256']);
        });
        Schema::table('assignments', function (Blueprint $table): void {
            $table->foreignId('writing_baseline_id')->nullable()->after('release')->constrained()->restrictOnDelete()
                ->comment('null: writing is not measured');
            $table->dateTime('writing_detector_since')->nullable()->after('writing_baseline_id')
                ->comment(
                    'while texts go to the outside detector: what was handed in before was handed in by people who were not told'
                );
        });
        Schema::create('writing_reports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('handin_id')->unique()->constrained()->cascadeOnDelete();
            $table->enum('state', ['waiting', 'ready', 'nothing', 'failed'])->default('waiting');
            $table->string('reason', 500)->nullable()->comment('why nothing can be said, or what failed');
            $table->foreignId('writing_baseline_id')->nullable()->constrained()->restrictOnDelete();
            $table->unsignedInteger('baseline_version')->nullable();
            $table->unsignedInteger('words')->default(0)->comment('measured: running sentences of the writer');
            $table->unsignedInteger('at_least')->nullable()->comment('texts at least as unusual, this one included');
            $table->unsignedInteger('among')->nullable()->comment('texts in all, this one included');
            $table->json('found')->nullable()->comment('signals, sentences, turns, earlier work');
            $table->enum('detector_state', ['off', 'waiting', 'ready', 'failed'])->default('off');
            $table->json('detector')->nullable()->comment('its answer, with the error rates it states');
            $table->string('detector_failure', 500)->nullable();
            $table->dateTime('measured_at')->nullable();
            $table->timestamps();
            $table->index(['state', 'handin_id']);
        });
    }
};

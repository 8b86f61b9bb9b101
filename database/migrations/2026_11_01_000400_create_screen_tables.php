<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('overlap_prints', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('assignment_id')->constrained()->cascadeOnDelete();
            $table->foreignId('handin_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('hash');
            $table->index(['assignment_id', 'hash', 'handin_id']);
        });
        Schema::create('overlap_reports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('handin_id')->unique()->constrained()->cascadeOnDelete();
            $table->enum('state', ['waiting', 'running', 'ready', 'failed'])->default('waiting');
            $table->text('failure')->nullable();
            $table->unsignedInteger('compared')->default(0);
            $table->unsignedInteger('to_compare')->default(0);
            $table->unsignedInteger('counted')->default(0);
            $table->unsignedInteger('left_out')->default(0)->comment('words of the brief and the templates');
            $table->unsignedInteger('matched')->default(0);
            $table->decimal('share', 4, 1)->default(0);
            $table->dateTime('finished_at')->nullable();
            $table->timestamps();
        });
        Schema::create('overlap_runs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('overlap_report_id')->constrained()->cascadeOnDelete();
            $table->foreignId('source_handin_id')->constrained('handins')->cascadeOnDelete();
            $table->unsignedInteger('from_word');
            $table->unsignedInteger('to_word');
            $table->unsignedInteger('source_from');
            $table->unsignedInteger('source_to');
            $table->unsignedInteger('words');
            $table->json('pieces')->comment('[from, source_from, length] of identical words');
            $table->index(['overlap_report_id', 'from_word']);
        });
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('marks', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->enum('part', ['first', 'second']);
            $table->foreignId('marker_id')->constrained('users')->restrictOnDelete();
            $table->foreignId('rubric_version_id')->constrained()->restrictOnDelete();
            $table->foreignId('handin_id')->constrained()->restrictOnDelete();
            $table->json('choices')->comment('by criterion id');
            $table->text('general_comment');
            $table->decimal('total', 10, 3)->nullable();
            $table->unsignedInteger('lock_version')->default(1);
            $table->dateTime('begun_at')->nullable();
            $table->dateTime('done_at')->nullable();
            $table->timestamps();
            $table->unique(['script_id', 'part']);
            $table->unique(['script_id', 'marker_id']);
            $table->index(['marker_id', 'done_at']);
        });
        Schema::create('proposals', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->foreignId('proposed_by')->constrained('users')->restrictOnDelete();
            $table->decimal('mark', 7, 3);
            $table->text('reason');
            $table->enum('state', ['open', 'replaced', 'accepted'])->default('open');
            $table->foreignId('accepted_by')->nullable()->constrained('users');
            $table->timestamps();
        });
        Schema::create('settlements', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('script_id')->unique()->constrained()->restrictOnDelete();
            $table->decimal('mark', 8, 4);
            $table->enum('how', ['single', 'rule', 'agreed']);
            $table->json('working');
            $table->foreignId('proposal_id')->nullable()->constrained();
            $table->timestamps();
        });
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Reflections that are asked for without a hand-in.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('reflection_sheets', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('module_id')->constrained()->restrictOnDelete();
            $table->string('title', 120);
            $table->json('settings');
            $table->dateTime('due_at');
            $table->dateTime('opened_at')->nullable()->comment('since when students are asked');
            $table->dateTime('reminded_at')->nullable();
            $table->foreignId('made_by')->constrained('users');
            $table->timestamps();
        });
        Schema::create('sheet_answers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('sheet_id')->constrained('reflection_sheets')->restrictOnDelete();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->json('answers')->comment('prompt and text of each');
            $table->unsignedInteger('words')->default(0);
            $table->dateTime('done_at')->nullable()->comment('when it first had as many words as are asked for');
            $table->timestamps();
            $table->unique(['sheet_id', 'user_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('sheet_answers');
        Schema::dropIfExists('reflection_sheets');
    }
};

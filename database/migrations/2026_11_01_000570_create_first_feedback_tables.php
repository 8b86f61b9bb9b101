<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * First remarks on drafts by an outside writing assistant.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('assignments', function (Blueprint $table): void {
            $table->unsignedTinyInteger('first_feedback')->default(0)
                ->comment('how often a student may ask the assistant; 0: not at all');
        });
        Schema::create('first_feedback', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('draft_check_id')->unique()->constrained()->cascadeOnDelete();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->foreignId('student_id')->constrained('users')->restrictOnDelete();
            $table->string('state', 10)->default('asked');
            $table->string('failure', 300)->nullable();
            $table->string('assistant', 200)->nullable();
            $table->boolean('simulated')->default(false);
            $table->json('remarks')->nullable();
            $table->text('cannot_see')->nullable();
            $table->json('used')->nullable()->comment('places of the remarks that the student says they used');
            $table->dateTime('shared_at')->nullable()->comment('since when staff may read it');
            $table->timestamps();
            $table->index(['script_id', 'state']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('first_feedback');
        Schema::table('assignments', fn (Blueprint $table) => $table->dropColumn('first_feedback'));
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What members of groups say of each other's part, and what follows for each mark.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('contributions', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('assignment_id')->unique()->constrained()->restrictOnDelete();
            $table->json('settings');
            $table->dateTime('due_at');
            $table->dateTime('opened_at')->nullable();
            $table->dateTime('reminded_at')->nullable();
            $table->dateTime('closed_at')->nullable();
            $table->foreignId('made_by')->constrained('users');
            $table->unsignedInteger('lock_version')->default(1);
            $table->timestamps();
        });
        Schema::create('contribution_ratings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('contribution_id')->constrained()->restrictOnDelete();
            $table->foreignId('rater_id')->comment('a script')->constrained('scripts')->restrictOnDelete();
            $table->foreignId('rated_id')->comment('a script of the same group')->constrained('scripts')
                ->restrictOnDelete();
            $table->json('points')->comment('0 to 4 for each criterion, in their order');
            $table->string('note', 1000)->default('')->comment('to staff');
            $table->timestamps();
            $table->unique(['contribution_id', 'rater_id', 'rated_id']);
        });
        Schema::create('contribution_factors', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('contribution_id')->constrained()->restrictOnDelete();
            $table->foreignId('script_id')->unique()->constrained()->restrictOnDelete();
            $table->string('factor', 200)->comment('exact: a fraction');
            $table->decimal('instead', 5, 3)->nullable()->comment('the multiplier that was set by hand');
            $table->text('reason')->nullable();
            $table->foreignId('set_by')->nullable()->constrained('users');
            $table->dateTime('set_at')->nullable();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('contribution_factors');
        Schema::dropIfExists('contribution_ratings');
        Schema::dropIfExists('contributions');
    }
};

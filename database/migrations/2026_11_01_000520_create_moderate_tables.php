<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('samples', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->unsignedSmallInteger('number')->comment('the first, second … of the assignment');
            $table->unsignedBigInteger('seed');
            $table->json('rule')->comment('as it was when it was drawn');
            $table->json('boundaries');
            $table->unsignedInteger('from')->comment('scripts it was drawn from');
            $table->unsignedInteger('drawn')->comment('by lot');
            $table->text('reason')->default('')->comment('why it was drawn, after the first');
            $table->foreignId('made_by')->constrained('users');
            $table->timestamps();
            $table->unique(['assignment_id', 'number']);
        });
        Schema::create('sampled_scripts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('sample_id')->constrained()->restrictOnDelete();
            $table->foreignId('script_id')->unique()->constrained()->restrictOnDelete();
            $table->foreignId('first_marker_id')->constrained('users');
            $table->string('mark', 60)->comment('the first mark when it was drawn');
            $table->json('reasons');
            $table->string('chance', 60)->comment('exact: a decimal, or n/d; what figures are weighted by is 1 over it');
        });
        Schema::create('settle_messages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->foreignId('author_id')->constrained('users');
            $table->text('body');
            $table->timestamps();
        });
    }
};

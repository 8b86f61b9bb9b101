<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('results', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('script_id')->unique()->constrained()->restrictOnDelete();
            $table->json('document')->comment('exactly what was released');
            $table->decimal('mark', 7, 3)->nullable()->comment('null: feedback without a mark');
            $table->string('band', 60)->nullable();
            $table->foreignId('released_by')->constrained('users');
            $table->dateTime('released_at');
            $table->dateTime('first_opened_at')->nullable();
            $table->dateTime('last_opened_at')->nullable();
            $table->unsignedInteger('openings')->default(0);
            $table->unsignedInteger('seconds_open')->default(0);
            $table->timestamps();
        });
        Schema::create('logbook_lines', function (Blueprint $table): void {
            $table->unsignedBigInteger('number')->primary();
            $table->dateTime('at', 6);
            $table->foreignId('actor_id')->nullable()->constrained('users')->restrictOnDelete();
            $table->foreignId('module_id')->nullable()->constrained()->restrictOnDelete();
            $table->foreignId('assignment_id')->nullable()->constrained()->restrictOnDelete();
            $table->string('action', 60);
            $table->string('subject', 255);
            $table->json('details');
            $table->char('hash', 64);
            $table->index(['module_id', 'number']);
            $table->index(['assignment_id', 'number']);
        });
        Schema::create('logbook_head', function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->unsignedBigInteger('count');
            $table->char('hash', 64);
        });
    }
};

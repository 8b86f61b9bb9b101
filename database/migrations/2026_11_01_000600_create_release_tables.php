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
            // No foreign keys: whom and what a line names is known by random ids, and may be erased.
            $table->unsignedBigInteger('number')->primary();
            $table->dateTime('at', 6);
            $table->uuid('actor')->nullable();
            $table->uuid('module')->nullable();
            $table->uuid('assignment')->nullable();
            $table->string('event', 60);
            $table->string('subject_kind', 20)->nullable();
            $table->string('subject', 60)->nullable()->comment('a script\'s code, or a random id');
            $table->json('details');
            $table->json('texts')->comment('a commitment to each free text, by field');
            $table->char('hash', 64);
            $table->index(['module', 'number']);
            $table->index(['assignment', 'event', 'subject']);
        });
        Schema::create('logbook_texts', function (Blueprint $table): void {
            $table->unsignedBigInteger('number');
            $table->string('field', 40);
            $table->char('salt', 32)->nullable();
            $table->mediumText('text')->nullable()->comment('null once erased');
            $table->primary(['number', 'field']);
            $table->foreign('number')->references('number')->on('logbook_lines')->restrictOnDelete();
        });
        Schema::create('logbook_head', function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->unsignedBigInteger('count');
            $table->char('hash', 64);
        });
    }
};

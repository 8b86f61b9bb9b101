<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Observed work: when and where, who is observed in which slot, what observers recorded.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('observation_grounds', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->string('room', 80);
            $table->dateTime('starts_at');
            $table->dateTime('ends_at');
            $table->json('observers')->comment('ids of who observe there together');
            $table->timestamps();
            $table->index(['assignment_id', 'starts_at']);
        });
        Schema::create('slots', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->foreignId('script_id')->unique()->constrained()->restrictOnDelete()
                ->comment('of whom is observed; with one mark a group, of the one that is marked');
            $table->string('room', 80);
            $table->dateTime('starts_at');
            $table->dateTime('ends_at');
            $table->unsignedSmallInteger('sequence')->default(0)->comment('of its appointment: more with each change');
            $table->dateTime('published_at')->nullable()->comment('since when its student knows it');
            $table->string('course', 10)->default('usual')->comment('how it went, as observers recorded it');
            $table->timestamps();
            $table->index(['assignment_id', 'starts_at']);
        });
        Schema::create('slot_observers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('slot_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->unsignedTinyInteger('place')->comment('1 gives the first mark, 2 the second');
            $table->unique(['slot_id', 'user_id']);
            $table->unique(['slot_id', 'place']);
            $table->index('user_id');
        });
        Schema::create('slot_swaps', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('slot_id')->comment('of whoever asks')->constrained()->cascadeOnDelete();
            $table->foreignId('other_id')->constrained('slots')->cascadeOnDelete();
            $table->foreignId('asked_by')->constrained('users')->restrictOnDelete();
            $table->string('state', 10)->default('asked')->comment('asked, agreed, approved, refused');
            $table->string('words', 500)->default('');
            $table->timestamps();
        });
        Schema::create('observation_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('mark_id')->constrained()->restrictOnDelete();
            $table->uuid('event')->comment('made by the device');
            $table->string('kind', 10);
            $table->dateTime('at', 3)->comment('by the clock of the server');
            $table->unsignedInteger('number');
            $table->string('about', 120);
            $table->text('value');
            $table->dateTime('received_at');
            $table->unique(['mark_id', 'event']);
        });
        Schema::create('observation_files', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique()->comment('made by the device');
            $table->foreignId('mark_id')->constrained()->restrictOnDelete();
            $table->string('kind', 10)->comment('photo, sound or file');
            $table->string('name', 200);
            $table->string('path', 255);
            $table->string('mime', 100);
            $table->unsignedBigInteger('bytes');
            $table->char('sha256', 64);
            $table->dateTime('created_at');
        });
    }

    public function down(): void
    {
        foreach (
            [
                'observation_files', 'observation_events', 'slot_swaps', 'slot_observers', 'slots', 'observation_grounds',
            ] as $table
        ) {
            Schema::dropIfExists($table);
        }
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Discussions: their topics, what is posted, who has read how far.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('topics', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->unsignedSmallInteger('position');
            $table->string('title', 200);
            $table->text('prompt');
            $table->dateTime('closed_at')->nullable();
            $table->unsignedInteger('lock_version')->default(1);
            $table->timestamps();
            $table->index(['assignment_id', 'position']);
        });
        Schema::create('posts', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('topic_id')->constrained()->restrictOnDelete();
            $table->string('room', 60)->default('')->comment('the section or group that talks by itself; empty: all');
            $table->foreignId('author_id')->constrained('users')->restrictOnDelete();
            $table->foreignId('script_id')->nullable()->constrained()->restrictOnDelete()
                ->comment('of the student who wrote it; null: staff');
            $table->foreignId('thread_id')->nullable()->constrained('posts')->restrictOnDelete()
                ->comment('the post that began it; null: this one did');
            $table->foreignId('parent_id')->nullable()->constrained('posts')->restrictOnDelete()
                ->comment('what it answers');
            $table->unsignedInteger('place')->default(0)->comment('in its thread, from 1; 0: it began it');
            $table->unsignedInteger('replies')->default(0)->comment('in the thread that it began');
            $table->mediumText('text')->comment('as it was typed');
            $table->mediumText('html')->comment('as its writer sees it');
            $table->mediumText('masked')->comment('the same with nobody of the discussion named');
            $table->mediumText('masked_text')->comment('its words, likewise');
            $table->char('roll', 32)->comment('of the people it was masked with');
            $table->unsignedInteger('words')->comment('of its writer: none that are quoted');
            $table->dateTime('edited_at')->nullable();
            $table->dateTime('taken_back_at')->nullable();
            $table->dateTime('hidden_at')->nullable();
            $table->foreignId('hidden_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->string('hidden_reason', 500)->nullable()->comment('its author reads it');
            $table->dateTime('pinned_at')->nullable();
            $table->uuid('once')->nullable()->comment('made by the page, so that what is sent twice is posted once');
            $table->unsignedInteger('lock_version')->default(1);
            $table->timestamps();
            $table->unique(['author_id', 'once']);
            $table->index(['topic_id', 'room', 'thread_id', 'pinned_at', 'id'], 'posts_page_index');
            $table->index(['topic_id', 'room', 'id']);
            $table->index(['topic_id', 'roll']);
            $table->index(['thread_id', 'place']);
            $table->index(['script_id', 'id']);
        });
        Schema::create('post_versions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('post_id')->constrained()->restrictOnDelete();
            $table->mediumText('text')->comment('as it stood before');
            $table->mediumText('masked')->comment('likewise, nobody named');
            $table->dateTime('written_at');
            $table->dateTime('created_at')->comment('when something else took its place');
        });
        Schema::create('post_files', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('post_id')->constrained()->restrictOnDelete();
            $table->unsignedTinyInteger('position');
            $table->string('kind', 10)->comment('picture, or a kind of document');
            $table->string('name', 200)->comment('as it was called: its writer and those who see names see it');
            $table->string('description', 500)->default('')->comment('of a picture, for those who cannot see it');
            $table->string('path', 255);
            $table->string('mime', 100);
            $table->unsignedBigInteger('bytes');
            $table->char('sha256', 64);
            $table->unique(['post_id', 'position']);
        });
        Schema::create('topic_readers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('topic_id')->constrained()->restrictOnDelete();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->unsignedBigInteger('read_to')->default(0)->comment('posts up to this one were shown');
            $table->boolean('follows')->default(false);
            $table->dateTime('created_at');
            $table->unique(['topic_id', 'user_id']);
            $table->index(['topic_id', 'follows']);
        });
        Schema::create('post_flags', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('post_id')->constrained()->restrictOnDelete();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->string('reason', 500);
            $table->dateTime('decided_at')->nullable();
            $table->foreignId('decided_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->string('decision', 10)->nullable()->comment('hidden or left');
            $table->timestamps();
            $table->unique(['post_id', 'user_id']);
            $table->index('decided_at');
        });
        Schema::create('participations', function (Blueprint $table): void {
            $table->foreignId('script_id')->primary()->constrained()->restrictOnDelete();
            $table->unsignedInteger('posts')->default(0);
            $table->unsignedInteger('replies')->default(0);
            $table->unsignedInteger('short')->default(0);
            $table->unsignedInteger('words')->default(0);
            $table->dateTime('first_at')->nullable();
            $table->boolean('below')->comment('whether something is missing of what is asked for');
            $table->dateTime('frozen_at')->nullable()->comment('when what is marked was last frozen');
            $table->dateTime('frozen_for')->nullable()->comment('the close it was frozen at');
            $table->unsignedBigInteger('frozen_to')->nullable()->comment('the last post in it');
        });
    }

    public function down(): void
    {
        foreach (
            ['participations', 'post_flags', 'topic_readers', 'post_files', 'post_versions', 'posts', 'topics'] as $table
        ) {
            Schema::dropIfExists($table);
        }
    }
};

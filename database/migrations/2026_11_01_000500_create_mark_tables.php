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
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete()->comment('the script\'s, so that a queue is one index');
            $table->enum('part', ['first', 'second', 'together', 'handed over'])->comment('together: of a script that all mark before the real marking; handed over: begun by someone who could not finish; neither counts');
            $table->foreignId('marker_id')->constrained('users')->restrictOnDelete();
            $table->foreignId('rubric_version_id')->constrained()->restrictOnDelete();
            $table->foreignId('handin_id')->constrained()->restrictOnDelete();
            $table->json('choices')->comment('by criterion id');
            $table->mediumText('general_comment');
            $table->mediumText('private_note')->default('')->comment('for staff alone');
            $table->string('aside_reason', 300)->nullable()->comment('why it is set aside for later');
            $table->json('place')->nullable()->comment('where its marker left off');
            $table->unsignedInteger('seconds')->default(0)->comment('at the desk, pauses left out');
            $table->dateTime('touched_at')->nullable()->comment('when its marker was last at work on it');
            $table->decimal('total', 10, 3)->nullable();
            $table->unsignedInteger('lock_version')->default(1);
            $table->dateTime('begun_at')->nullable();
            $table->dateTime('done_at')->nullable();
            $table->timestamps();
            // First and second are one mark each, by two people; together, each marker has one of their own.
            $table->string('counts_as', 8)->nullable()->storedAs("if(part in ('first', 'second'), part, null)");
            $table->unsignedBigInteger('counts_by')->nullable()->storedAs("if(part in ('first', 'second'), marker_id, null)");
            $table->unique(['script_id', 'counts_as']);
            $table->unique(['script_id', 'counts_by']);
            $table->unique(['script_id', 'marker_id', 'part']);
            $table->index(['marker_id', 'done_at']);
            $table->index(['marker_id', 'assignment_id', 'public_id', 'done_at'], 'marks_queue_index');
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

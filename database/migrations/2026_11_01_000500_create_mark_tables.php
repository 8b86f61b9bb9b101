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
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete()
                ->comment('the script\'s, so that a queue is one index');
            $table->string('seat', 20)->comment('what the mark is on its script');
            $table->string('view', 10)->default('blind')
                ->comment('what its marker sees of the other marks until it is done');
            $table->boolean('counts')->comment('whether it makes up the script\'s mark');
            $table->unsignedSmallInteger('seat_number')->default(1)
                ->comment('which of several, in a seat that can hold several');
            $table->dateTime('handed_over_at')->nullable()
                ->comment('begun by someone who could not finish; kept, and counts no more');
            $table->dateTime('put_away_at')->nullable()
                ->comment(
                    'since when it is on no desk: handed over, or made together and not finished before its result went out'
                );
            $table->unsignedBigInteger('queue_place')->comment(
                'drawn, so that the order of a queue tells nothing and is the same everywhere'
            );
            $table->foreignId('marker_id')->constrained('users')->restrictOnDelete();
            $table->foreignId('rubric_version_id')->constrained()->restrictOnDelete();
            $table->foreignId('work_id')->constrained()->restrictOnDelete()->comment('what was marked');
            $table->json('criteria')->nullable()->comment('ids of those of the rubric that are used; null: all');
            $table->json('choices')->comment('by criterion id');
            $table->mediumText('general_comment');
            $table->mediumText('private_note')->default('')->comment('for staff alone');
            $table->text('reason')->default('')->comment('why it differs from what it checks, or decides as it does');
            $table->boolean('agrees')->default(false)->comment('made in one step, by agreeing with the first mark');
            $table->string('aside_reason', 300)->nullable()->comment('why it is set aside for later');
            $table->json('place')->nullable()->comment('where its marker left off');
            $table->unsignedInteger('seconds')->default(0)->comment('at the desk, pauses left out');
            $table->dateTime('touched_at')->nullable()->comment('when its marker was last at work on it');
            $table->decimal('total', 10, 3)->nullable();
            $table->unsignedInteger('lock_version')->default(1);
            $table->dateTime('begun_at')->nullable();
            $table->dateTime('done_at')->nullable();
            $table->dateTime('first_done_at')->nullable()->comment('when it was done for the first time');
            $table->timestamps();
            // One counting mark a seat, where it holds one, and one a person; of those that do not count, one a person,
            // seat and round.
            $table->string('counting_seat', 20)->nullable()->storedAs('if(counts, seat, null)');
            $table->unsignedBigInteger('counting_marker_id')->nullable()->storedAs('if(counts, marker_id, null)');
            $table->unsignedBigInteger('holding_marker_id')->nullable()
                ->storedAs('if(handed_over_at is null, marker_id, null)');
            $table->unique(['script_id', 'counting_seat', 'seat_number']);
            $table->unique(['script_id', 'counting_marker_id']);
            $table->unique(['script_id', 'seat', 'seat_number', 'holding_marker_id'], 'marks_of_person_unique');
            // With all that says whether figures on marking alike are old, so that no mark has to be read for it.
            $table->index(['assignment_id', 'counting_seat', 'marker_id', 'done_at', 'total'], 'marks_of_assignment_index');
            $table->index(['marker_id', 'done_at']);
            // All that a queue is counted and stepped by, so that no mark has to be read for it.
            $table->index(['marker_id', 'assignment_id', 'put_away_at', 'queue_place', 'done_at'], 'marks_queue_index');
        });
        Schema::create('proposals', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->foreignId('proposed_by')->constrained('users')->restrictOnDelete();
            $table->decimal('mark', 7, 3);
            $table->json('choices')->comment('by criterion id, where it is agreed criterion by criterion; else empty');
            $table->json('feedback')->comment('whose comments the student is to read');
            $table->text('reason');
            $table->enum('state', ['open', 'replaced', 'accepted'])->default('open');
            $table->foreignId('accepted_by')->nullable()->constrained('users');
            $table->timestamps();
        });
        Schema::create('settlements', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->string('mark', 60)->comment('exact: a decimal, or n/d');
            $table->string('settled_by', 20);
            $table->json('working');
            $table->json('choices')->comment('agreed criterion by criterion: what the student reads; else empty');
            $table->json('feedback')->comment('whose comments the student reads');
            $table->foreignId('proposal_id')->nullable()->constrained();
            $table->foreignId('decided_by')->nullable()->constrained('users')
                ->comment('a coordinator, as the last resort');
            $table->text('reason')->default('');
            $table->dateTime('undone_at')->nullable()->comment('opened again: kept to be read, and holds no more');
            $table->foreignId('undone_by')->nullable()->constrained('users');
            $table->text('undone_reason')->default('');
            $table->timestamps();
            // One that holds a script.
            $table->unsignedBigInteger('holding_script_id')->nullable()
                ->storedAs('if(undone_at is null, script_id, null)');
            $table->unique('holding_script_id');
            $table->index(['script_id', 'undone_at']);
        });
    }
};

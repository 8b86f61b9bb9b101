<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('rounds', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->unsignedSmallInteger('number')->comment('the first, second … of the assignment');
            $table->string('title', 120);
            $table->json('settings');
            $table->unsignedInteger('seed');
            $table->dateTime('begins_at')->comment('when reviews are given out for the first time');
            $table->dateTime('due_at')->comment('when reviews are due; who is allowed more has more');
            $table->dateTime('answers_due_at')->nullable();
            $table->dateTime('opened_at')->nullable()->comment('since when students see it');
            $table->dateTime('given_at')->nullable();
            $table->dateTime('planned_at')->nullable()->comment('when who reviews what was last planned');
            $table->dateTime('reminded_at')->nullable();
            $table->unsignedInteger('short')->default(0)->comment('reviews that are promised and nobody is to write');
            $table->unsignedInteger('unsure')->default(0)->comment('works that wait for someone who has begun nothing');
            $table->dateTime('closed_at')->nullable();
            $table->foreignId('made_by')->constrained('users');
            $table->unsignedInteger('lock_version')->default(1);
            $table->timestamps();
            $table->unique(['assignment_id', 'number']);
            $table->index(['closed_at', 'opened_at']);
        });
        Schema::create('round_members', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('round_id')->constrained()->restrictOnDelete();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->foreignId('script_id')->constrained()->restrictOnDelete()->comment('their own');
            $table->string('code', 20)->comment('as whom authors and the team know them in this round');
            $table->dateTime('due_at');
            $table->unsignedTinyInteger('extra')->default(0)->comment('reviews they offered to write besides');
            $table->unsignedTinyInteger('lost')->default(0)->comment('reviews that went to others because none was begun');
            $table->dateTime('let_in_at')->nullable()->comment('may review although trial scripts are not near enough');
            $table->dateTime('left_at')->nullable()->comment('reviews nothing more');
            $table->decimal('reviewing_mark', 5, 1)->nullable();
            $table->json('reviewing_working')->nullable();
            $table->timestamps();
            $table->unique(['round_id', 'user_id']);
            $table->unique(['round_id', 'code']);
            $table->index('script_id');
        });
        Schema::create('round_works', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('round_id')->constrained()->restrictOnDelete();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->foreignId('work_id')->constrained()->restrictOnDelete()->comment('the attempt that is reviewed');
            $table->string('code', 20)->comment('as which reviewers know it');
            $table->unsignedTinyInteger('wanted')->comment('reviews it is promised');
            $table->unsignedTinyInteger('missing')->default(0)->comment('of those, that nobody is to write');
            $table->decimal('combined', 5, 1)->nullable();
            $table->decimal('low', 5, 1)->nullable();
            $table->decimal('high', 5, 1)->nullable();
            $table->json('combining')->nullable()->comment('each review: its mark, what it weighs, what is known of its reviewer');
            $table->timestamps();
            $table->unique(['round_id', 'script_id']);
            $table->unique(['round_id', 'code']);
            $table->index('script_id');
        });
        Schema::create('peer_reviews', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('round_id')->constrained()->restrictOnDelete();
            $table->foreignId('round_work_id')->constrained()->restrictOnDelete();
            $table->foreignId('round_member_id')->constrained()->restrictOnDelete();
            $table->foreignId('mark_id')->unique()->constrained()->restrictOnDelete();
            $table->boolean('own')->default(false)->comment('of one\'s own work');
            $table->unsignedSmallInteger('place')->comment('drawn, so that the order of reviews tells nothing');
            $table->json('asked')->nullable()->comment('what was pointed out before it was sent');
            $table->string('returned_why', 20)->nullable()->comment('why it could not be reviewed');
            $table->text('returned_text')->default('');
            $table->dateTime('returned_at')->nullable();
            $table->dateTime('returned_seen_at')->nullable()->comment('when a coordinator said it was dealt with');
            $table->unsignedTinyInteger('useful')->nullable()->comment('by its author: 0 not, 1 in part, 2 useful');
            $table->text('answer')->default('')->comment('what the author will do with it');
            $table->dateTime('answered_at')->nullable();
            $table->string('flag_why', 20)->nullable();
            $table->text('flag_text')->default('');
            $table->dateTime('flagged_at')->nullable();
            $table->dateTime('flag_decided_at')->nullable();
            $table->foreignId('flag_decided_by')->nullable()->constrained('users');
            $table->text('flag_reason')->default('')->comment('what staff said to it');
            $table->dateTime('hidden_at')->nullable();
            $table->timestamps();
            $table->unique(['round_work_id', 'round_member_id']);
            $table->index(['round_member_id', 'returned_at']);
            $table->index(['round_id', 'flagged_at']);
        });
        Schema::create('trial_scripts', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('round_id')->constrained()->restrictOnDelete();
            $table->unsignedTinyInteger('position');
            $table->string('title', 120);
            $table->mediumText('text');
            $table->foreignId('rubric_version_id')->constrained()->restrictOnDelete();
            $table->json('choices')->comment('what staff set, and why, by criterion');
            $table->decimal('total', 10, 3);
            $table->foreignId('made_by')->constrained('users');
            $table->timestamps();
            $table->unique(['round_id', 'position']);
        });
        Schema::create('trial_marks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('trial_script_id')->constrained()->restrictOnDelete();
            $table->foreignId('round_member_id')->constrained()->restrictOnDelete();
            $table->json('choices');
            $table->decimal('total', 10, 3)->nullable();
            $table->dateTime('done_at')->nullable();
            $table->timestamps();
            $table->unique(['trial_script_id', 'round_member_id']);
        });
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->string('name', 150);
            $table->string('email', 190)->collation('utf8mb4_bin')->unique()
                ->comment('lower-cased; compared letter by letter, so that one account has one spelling');
            $table->string('number', 40)->nullable()->unique();
            $table->string('given_name', 75)->nullable()
                ->comment('as the registry parts the name; null when nobody said');
            $table->string('family_name', 75)->nullable();
            $table->json('former_names')->nullable()->comment('what named the person before: it stays hidden in their work');
            $table->string('roster_id', 120)->nullable()->unique()->comment('what the registry calls the person');
            $table->string('password')->nullable()->comment('null until one is chosen');
            $table->boolean('is_admin')->default(false);
            $table->enum('theme', ['device', 'light', 'dark'])->default('device');
            $table->dateTime('joined_at')->nullable()->comment('null until the person has chosen a password');
            $table->text('second_secret')->nullable()->comment('encrypted; what a phone makes codes of at sign-in');
            $table->dateTime('second_since')->nullable()->comment('null until the first code from it was right');
            $table->unsignedBigInteger('second_step')->nullable()->comment('whose code was taken last: each works once');
            $table->dateTime('signed_in_at')->nullable()->comment('the last time');
            $table->dateTime('closed_at')->nullable()->comment('a closed account is kept, and nobody signs in to it');
            $table->foreignId('merged_into_id')->nullable()->constrained('users')->restrictOnDelete()
                ->comment('the account that took up what this one had');
            $table->string('hold_reason', 500)->nullable()->comment('why nothing of this person is erased for now');
            $table->dateTime('erased_at')->nullable();
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('recovery_codes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->char('hash', 64);
            $table->dateTime('used_at')->nullable();
            $table->unique(['user_id', 'hash']);
        });
        Schema::create('erasures', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->unique()->constrained()->restrictOnDelete();
            $table->string('reason', 500)->comment('on whose word; never their name');
            $table->json('counts')->comment('how much of what went');
            $table->foreignId('erased_by')->constrained('users')->restrictOnDelete();
            $table->dateTime('erased_at');
        });
        Schema::create('sign_in_links', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->unique()->constrained()->cascadeOnDelete();
            $table->char('hash', 64)->unique();
            $table->dateTime('ends_at');
        });
        Schema::create('institution', function (Blueprint $table): void {
            $table->id();
            $table->json('sign_in')->nullable()->comment('how people sign in, one document');
            $table->json('keeping')->nullable()->comment('for how many months what is kept, one document');
            $table->timestamps();
        });
        Schema::create('modules', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->string('code', 30);
            $table->string('title', 150);
            $table->foreignId('copied_from_id')->nullable()->constrained('modules')->nullOnDelete();
            $table->json('mark_plan')->nullable()->comment('how its mark is made of its assignments');
            $table->json('keeping')->nullable()->comment('months in place of those of the institution');
            $table->char('marks_digest', 64)->nullable()->comment('of what module_marks were worked out from');
            $table->char('marks_seen', 64)->nullable()->comment('of what changes with any result: while it is the same nothing is compared');
            $table->timestamps();
        });
        Schema::create('memberships', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('module_id')->constrained()->restrictOnDelete();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->enum('role', ['coordinator', 'tutor', 'examiner', 'student']);
            $table->string('section', 40)->nullable();
            $table->string('candidate_number', 40)->nullable()
                ->comment('for boards of examiners; read by coordinators and administrators only');
            $table->dateTime('left_at')->nullable()->comment('leavers keep their work and marks, and read them');
            $table->timestamps();
            $table->unique(['module_id', 'user_id']);
            $table->index(['user_id', 'role']);
        });
        Schema::create('closure_days', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('module_id')->constrained()->restrictOnDelete();
            $table->date('day');
            $table->string('name', 80)->default('');
            $table->unique(['module_id', 'day']);
        });
        Schema::create('roster_imports', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('module_id')->constrained()->restrictOnDelete();
            $table->foreignId('made_by')->constrained('users')->restrictOnDelete();
            $table->string('file_name', 200);
            $table->enum('kind', ['table', 'OneRoster']);
            $table->string('path', 255)->comment('the file, kept until it is applied');
            $table->json('choices')->comment(
                'which column is what, which classes are meant, whether those not in the file have left'
            );
            $table->dateTime('applied_at')->nullable();
            $table->timestamps();
        });
        Schema::create('allowances', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('module_id')->constrained()->restrictOnDelete();
            $table->foreignId('student_id')->constrained('users')->restrictOnDelete();
            $table->unsignedSmallInteger('extra_days')->default(0);
            $table->unsignedSmallInteger('extra_percent')->default(0)
                ->comment('of the time from opening to due, in timed assignments');
            $table->string('reason', 500);
            $table->foreignId('given_by')->constrained('users')->restrictOnDelete();
            $table->dateTime('ended_at')->nullable();
            $table->foreignId('ended_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->timestamps();
            $table->index(['module_id', 'student_id']);
        });
    }
};

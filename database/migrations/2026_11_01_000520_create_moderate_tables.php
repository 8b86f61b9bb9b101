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
            $table->string('chance', 60)->comment(
                'exact: a decimal, or n/d; what figures are weighted by is 1 over it'
            );
        });
        Schema::create('agreement_reports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('assignment_id')->unique()->constrained()->restrictOnDelete();
            $table->char('digest', 64)->comment('of the marks it was worked out from');
            $table->mediumText('figures')->comment('JSON: everything but single scripts');
            $table->mediumText('pairs')->comment('JSON: scripts with two blind marks, by their keys');
            $table->timestamps();
        });
        Schema::create('corrections', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->string('kind', 20)->comment('constant, line or severity');
            $table->foreignId('marker_id')->nullable()->constrained('users')
                ->comment('whose marks, where it is one marker\'s');
            $table->string('constant', 20)->comment('added to each mark; a decimal');
            $table->string('factor', 20)->default('1')->comment('what each mark is multiplied with before; a decimal');
            $table->json('working')->comment('the figures it was worked out from');
            $table->text('reason');
            $table->string('state', 20)->default('asked')->comment('asked, approved, refused or taken back');
            $table->foreignId('asked_by')->constrained('users');
            $table->foreignId('decided_by')->nullable()->constrained('users');
            $table->dateTime('decided_at')->nullable();
            $table->text('decided_reason')->default('');
            $table->foreignId('taken_back_by')->nullable()->constrained('users');
            $table->dateTime('taken_back_at')->nullable();
            $table->text('taken_back_reason')->default('');
            $table->timestamps();
            $table->index(['assignment_id', 'state']);
        });
        Schema::create('settle_messages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->foreignId('author_id')->constrained('users');
            $table->text('body');
            $table->timestamps();
        });
        Schema::create('assignment_moderators', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->timestamps();
            $table->unique(['assignment_id', 'user_id']);
        });
        Schema::create('sample_packs', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->string('reader', 20)->comment('moderator or examiner');
            $table->foreignId('reader_id')->constrained('users')->restrictOnDelete();
            $table->string('state', 20)->default('gathering')->comment('gathering, sent or signed');
            $table->boolean('recordings')->default(false)
                ->comment('whether voice and video, which identify people, are in it');
            $table->json('document')->nullable()->comment('frozen when it was sent: what it holds of the assignment');
            $table->text('letter')->default('')->comment('to the reader');
            $table->text('statement')->default('')->comment('the reader\'s');
            $table->foreignId('made_by')->constrained('users');
            $table->dateTime('sent_at')->nullable();
            $table->dateTime('signed_at')->nullable();
            $table->timestamps();
            $table->index(['assignment_id', 'reader', 'state']);
            $table->index(['reader_id', 'state']);
        });
        Schema::create('pack_scripts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('sample_pack_id')->constrained()->restrictOnDelete();
            $table->foreignId('script_id')->constrained()->restrictOnDelete();
            $table->json('reasons')->comment('why it is in it');
            $table->json('document')->nullable()
                ->comment('frozen when it was sent: the work, its marks, how they settled');
            $table->char('sha256', 64)->nullable()->comment('of the frozen document');
            $table->dateTime('read_at')->nullable();
            $table->unique(['sample_pack_id', 'script_id']);
        });
        Schema::create('pack_notes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('sample_pack_id')->constrained()->restrictOnDelete();
            $table->foreignId('pack_script_id')->nullable()->constrained()->comment('null: on the pack as a whole');
            $table->foreignId('author_id')->constrained('users');
            $table->string('kind', 20)->comment('note, request or answer');
            $table->string('asks_for', 30)->nullable();
            $table->foreignId('answers_id')->nullable()->constrained('pack_notes');
            $table->text('body');
            $table->timestamps();
        });
    }
};

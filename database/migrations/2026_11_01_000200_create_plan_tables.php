<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('rubrics', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->enum('scope', ['module', 'person', 'institution'])->default('module');
            $table->foreignId('module_id')->nullable()->constrained()->restrictOnDelete();
            $table->foreignId('owner_id')->nullable()->constrained('users')->restrictOnDelete()
                ->comment('who made it; edits it when it is in no module');
            $table->string('title', 200);
            $table->enum('state', ['working-copy', 'ready', 'retired'])->default('working-copy');
            $table->json('document')->comment('what is being worked on; marks never point here');
            $table->mediumText('words')->default('')->comment('all its words, for the library search');
            $table->unsignedSmallInteger('criteria')->default(0);
            $table->string('kinds', 60)->default('')->comment('which kinds of criteria it holds');
            $table->string('provenance', 300)->default('')->comment('where it was made from, in words');
            $table->unsignedInteger('step')->default(0)->comment('the step of rubric_steps the document stands at');
            $table->unsignedInteger('lock_version')->default(1);
            $table->foreignId('saved_by')->constrained('users');
            $table->timestamps();
            $table->index(['scope', 'state']);
        });
        DB::statement(
            "ALTER TABLE rubrics ADD CONSTRAINT rubric_scope CHECK ((scope = 'module') = (module_id IS NOT NULL))"
        );
        Schema::create('rubric_steps', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('rubric_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->json('document')->comment('the working copy after this step');
            $table->string('what', 250)->default('');
            $table->string('place', 250)->nullable()
                ->comment('the field written, so that further words in it are the same step');
            $table->foreignId('user_id')->nullable()->constrained();
            $table->dateTime('created_at');
            $table->unique(['rubric_id', 'number']);
        });
        Schema::create('rubric_editors', function (Blueprint $table): void {
            $table->foreignId('rubric_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->dateTime('seen_at');
            $table->primary(['rubric_id', 'user_id']);
        });
        Schema::create('rubric_versions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('rubric_id')->constrained()->restrictOnDelete();
            $table->unsignedInteger('number');
            $table->json('document');
            $table->char('hash', 64);
            $table->foreignId('made_by')->constrained('users');
            $table->dateTime('created_at');
            $table->unique(['rubric_id', 'number']);
        });
        Schema::create('grade_scales', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('module_id')->constrained()->restrictOnDelete();
            $table->string('name', 100);
            $table->json('document')->comment('assignments keep a copy of the scale they were given');
            $table->foreignId('saved_by')->constrained('users');
            $table->unsignedInteger('lock_version')->default(1);
            $table->timestamps();
            $table->unique(['module_id', 'name']);
        });
        Schema::create('assignments', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('module_id')->constrained()->restrictOnDelete();
            $table->foreignId('rubric_version_id')->nullable()->constrained()->restrictOnDelete();
            $table->string('form', 12)->default('handin')->comment('what is marked: hand-ins, a discussion, or what is observed');
            $table->string('title', 200);
            $table->text('brief');
            $table->dateTime('opens_at')->nullable();
            $table->dateTime('due_at')->nullable();
            $table->dateTime('closes_at')->nullable();
            $table->date('promised_on')->nullable();
            $table->dateTime('published_at')->nullable();
            $table->json('bands');
            $table->json('scheme')->nullable()->comment('which seats there are and how marks settle');
            $table->json('screening')->nullable()
                ->comment('what scripts are compared with, the lines, who sees a report, how writing is measured');
            $table->json('release')->nullable()->comment('what goes out');
            $table->json('discussion')->nullable()->comment('how students discuss, and what is asked of each');
            $table->json('observing')->nullable()->comment('how people are observed');
            $table->boolean('keep_groups')->default(true)->comment('scripts of one group go to one first marker');
            $table->json('late_rule')->nullable();
            $table->json('length_rule')->nullable();
            $table->decimal('cap', 5, 2)->nullable()->comment('most marks a resit can give');
            $table->enum('handin_by', ['each', 'group', 'group-one-by-one'])->default('each');
            $table->json('handin_kinds')->nullable()->comment('kinds of files taken; null for all that can be read');
            $table->unsignedTinyInteger('max_megabytes')->default(20);
            $table->unsignedTinyInteger('max_files')->default(1);
            $table->unsignedTinyInteger('self_checks')->default(2)
                ->comment('drafts a student may have checked before handing in');
            $table->json('declaration')->nullable()
                ->comment('what students declare when they hand in, in the words of the coordinator');
            $table->foreignId('copied_from_id')->nullable()->constrained('assignments')->nullOnDelete();
            $table->dateTime('shared_out_at')->nullable()->comment('when the first scripts went to markers');
            $table->dateTime('results_out_at')->nullable()->comment('when the first result went out');
            $table->dateTime('names_revealed_at')->nullable();
            $table->dateTime('let_go_at')->nullable()->comment('since when nothing is left of its work and marks');
            $table->unsignedInteger('lock_version')->default(1);
            $table->timestamps();
        });
        DB::statement(
            'ALTER TABLE assignments ADD CONSTRAINT assignment_times CHECK (closes_at IS NULL OR due_at IS NULL OR closes_at >= due_at)'
        );
        Schema::create('keeping_decisions', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->string('kind', 20)->comment('of what is kept');
            $table->foreignId('assignment_id')->nullable()->constrained()->restrictOnDelete()
                ->comment('null: of the institution');
            $table->string('state', 12)->comment('confirmed, taken back, gone, or to be kept for longer');
            $table->unsignedInteger('count')->default(0)->comment('how much was there when it was decided');
            $table->dateTime('goes_at')->nullable()->comment('not before then');
            $table->date('keep_until')->nullable();
            $table->string('reason', 500)->default('');
            $table->json('counts')->nullable()->comment('how much of what went');
            $table->dateTime('gone_at')->nullable();
            $table->foreignId('decided_by')->constrained('users')->restrictOnDelete();
            $table->timestamps();
            $table->index(['state', 'goes_at']);
        });
        Schema::create('assignment_templates', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->string('name', 200);
            $table->string('path', 255);
            $table->unsignedBigInteger('bytes');
            $table->char('sha256', 64);
            $table->mediumText('text')->comment('its words, which do not count when scripts are compared');
            $table->timestamps();
        });
    }
};

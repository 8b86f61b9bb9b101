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
        Schema::create('assignment_markers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->decimal('share', 7, 3)->default(1)->comment('beside the others\'; 0 gives nothing new');
            $table->json('sections')->nullable()->comment('null for every section');
            $table->unique(['assignment_id', 'user_id']);
        });
        DB::statement(
            'ALTER TABLE assignment_markers ADD CONSTRAINT assignment_marker_share CHECK (share >= 0 AND share <= 1000)'
        );
        Schema::create('conflicts', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('module_id')->constrained()->restrictOnDelete();
            $table->foreignId('marker_id')->constrained('users')->restrictOnDelete();
            $table->foreignId('student_id')->constrained('users')->restrictOnDelete();
            $table->string('reason', 300);
            $table->foreignId('made_by')->constrained('users');
            $table->timestamps();
            $table->unique(['module_id', 'marker_id', 'student_id']);
        });
        Schema::create('allocation_plans', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->unsignedInteger('seed');
            $table->enum('state', ['draft', 'applied', 'dropped'])->default('draft');
            $table->json('settings')->comment('who marks, with which share and sections; what may move');
            $table->json('entries')->comment('each mark: its script\'s code, part, marker, who has it now');
            $table->json('unplaced');
            $table->json('notes');
            $table->unsignedInteger('moves')->default(0)->comment('made by hand');
            $table->foreignId('made_by')->constrained('users');
            $table->dateTime('applied_at')->nullable();
            $table->unsignedInteger('lock_version')->default(1);
            $table->timestamps();
            $table->index(['assignment_id', 'state']);
        });
        Schema::create('level_notes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('assignment_id')->constrained()->restrictOnDelete();
            $table->string('criterion', 100);
            $table->text('text')->comment('how the levels are meant, as agreed before marking');
            $table->foreignId('saved_by')->constrained('users');
            $table->timestamps();
            $table->unique(['assignment_id', 'criterion']);
        });
    }
};

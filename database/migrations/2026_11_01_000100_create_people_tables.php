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
            $table->string('email', 190)->unique();
            $table->string('number', 40)->nullable()->unique();
            $table->string('password');
            $table->boolean('is_admin')->default(false);
            $table->enum('theme', ['device', 'light', 'dark'])->default('device');
            $table->dateTime('joined_at')->nullable()->comment('null until the person has chosen a password');
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('modules', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->string('code', 30);
            $table->string('title', 150);
            $table->timestamps();
        });
        Schema::create('memberships', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('module_id')->constrained()->restrictOnDelete();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->enum('role', ['coordinator', 'tutor', 'examiner', 'student']);
            $table->string('section', 40)->nullable();
            $table->timestamps();
            $table->unique(['module_id', 'user_id']);
            $table->index(['user_id', 'role']);
        });
    }
};

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
        Schema::create('bank_sets', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('module_id')->nullable()->constrained()->restrictOnDelete()
                ->comment('shared by its team; null for a personal set');
            $table->foreignId('owner_id')->constrained('users')->restrictOnDelete();
            $table->string('title', 120);
            $table->timestamps();
        });
        Schema::create('bank_comments', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('bank_set_id')->constrained()->cascadeOnDelete();
            $table->string('label', 80);
            $table->text('text')->comment('the long explanation, which travels with the label');
            $table->string('kind', 20)->default('remark');
            $table->string('criterion', 200)->default('')->comment('the title of a criterion it belongs to');
            $table->unsignedInteger('used')->default(0);
            $table->foreignId('saved_by')->constrained('users');
            $table->unsignedInteger('lock_version')->default(1);
            $table->timestamps();
            $table->softDeletes();
        });
        Schema::create('mark_comments', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique()
                ->comment('given by the page that made it, so that sending it twice makes it once');
            $table->foreignId('mark_id')->constrained()->restrictOnDelete();
            $table->string('kind', 20)->default('remark');
            $table->string('criterion', 100)->nullable();
            $table->mediumText('body');
            $table->json('anchor')->comment('words and position, or page and shape');
            $table->boolean('starred')->default(false)->comment('its student reads it first');
            $table->foreignId('bank_comment_id')->nullable()->constrained()->nullOnDelete();
            $table->dateTime('gone_at')->nullable()->comment('taken away; kept so that it can be brought back');
            $table->timestamps();
            $table->index(['mark_id', 'gone_at']);
        });
        Schema::create('mark_attachments', function (Blueprint $table): void {
            $table->id();
            $table->uuid('public_id')->unique();
            $table->foreignId('mark_id')->constrained()->restrictOnDelete();
            $table->enum('kind', ['voice', 'video', 'file']);
            $table->string('criterion', 100)->nullable()->comment('null: in general');
            $table->string('name', 200)->default('');
            $table->string('path', 255);
            $table->string('mime', 100);
            $table->unsignedBigInteger('bytes');
            $table->decimal('seconds', 7, 1)->nullable();
            $table->text('written')->comment('what is said, in writing');
            $table->timestamps();
        });
        DB::statement(
            "ALTER TABLE mark_attachments ADD CONSTRAINT attachment_seconds CHECK ((kind = 'file') = (seconds IS NULL))"
        );
        Schema::table(
            'users',
            fn (Blueprint $table) => $table->json('desk')->nullable()
                ->comment('keys and layout of the desk, as the person set them'),
        );
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('workshops', function (Blueprint $table): void {
            $table->id();
            // Rises with every action: what is cached or shown elsewhere is as old as its revision.
            $table->unsignedBigInteger('revision')->default(0);
            $table->boolean('demo')->default(false);
            $table->timestamps();
        });
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->nullable()->constrained();
            $table->string('name');
            $table->string('email')->unique();
            $table->string('password');
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('memberships', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->string('role');
            $table->timestamps();
            $table->unique(['workshop_id', 'user_id']);
        });
        Schema::create('invitations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('invited_by')->constrained('users');
            $table->string('role');
            $table->string('token_hash')->unique();
            $table->unsignedBigInteger('expires_at');
            $table->foreignId('accepted_by')->nullable()->constrained('users');
            $table->timestamps();
        });
        Schema::create('sessions', function (Blueprint $table): void {
            $table->string('id')->primary();
            $table->foreignId('user_id')->nullable()->index();
            $table->string('ip_address', 45)->nullable();
            $table->text('user_agent')->nullable();
            $table->longText('payload');
            $table->integer('last_activity')->index();
        });
    }
};

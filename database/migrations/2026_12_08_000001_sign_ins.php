<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Each browser in which somebody is signed in is remembered by a token of its own, and what it is told while Dripel is closed. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('sign_ins', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('token_hash', 64)->unique();
            $table->boolean('phone');
            $table->string('address', 45);
            $table->unsignedBigInteger('expires_at');
            $table->unsignedBigInteger('seen_at');
        });
        Schema::create('push_subscriptions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('sign_in_id')->unique()->constrained()->cascadeOnDelete();
            $table->text('endpoint');
            $table->string('p256dh', 100);
            $table->string('auth', 40);
            $table->json('told');
        });
        Schema::table('users', fn(Blueprint $table) => $table->dropColumn('remember_token'));
        // Nobody knows which of these browsers is which: each signs in once more.
        DB::table('sessions')->delete();
    }
};

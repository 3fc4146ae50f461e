<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** An address for calendars belongs to a person in a workshop, and only its hash is kept. The one there was is its owner's. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('memberships', fn(Blueprint $table) => $table->string('calendar_hash', 64)->nullable()->unique());
        foreach (DB::table('workshops')->whereNotNull('calendar_secret')->pluck('calendar_secret', 'id') as $id => $secret) {
            DB::table('memberships')
                ->where('workshop_id', $id)
                ->where('role', 'owner')
                ->update(['calendar_hash' => hash('sha256', (string) $secret)]);
        }
        Schema::table('workshops', function (Blueprint $table): void {
            $table->dropUnique(['calendar_secret']);
            $table->dropColumn('calendar_secret');
        });
    }
};

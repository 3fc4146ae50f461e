<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What a person looks at in a workshop, and who may open further workshops: whoever came first. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('memberships', fn(Blueprint $table) => $table->boolean('only_mine')->default(false));
        Schema::table('users', fn(Blueprint $table) => $table->boolean('opens_workshops')->default(false));
        $first = DB::table('memberships')
            ->join('workshops', 'workshops.id', '=', 'memberships.workshop_id')
            ->where('workshops.demo', false)
            ->min('memberships.user_id');
        $first === null ||
            DB::table('users')
                ->where('id', $first)
                ->update(['opens_workshops' => true]);
    }
};

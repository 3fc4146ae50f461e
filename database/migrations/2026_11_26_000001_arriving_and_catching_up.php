<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What used parts brought with them, days that were filled in, rides that no bike is known for yet, parts other than
 * chains in the same fittings, and the name of who did something where the account is not here (a restored workshop).
 */
return new class extends Migration {
    public function up(): void
    {
        self::entries('openings', function (Blueprint $table): void {
            $table->foreignId('component_id')->constrained();
            // Null: unknown.
            $table->double('km')->nullable();
            $table->string('wax');
            $table->double('since_wax_km')->nullable();
            $table->unsignedInteger('closings')->nullable();
        });
        self::entries('estimates', function (Blueprint $table): void {
            $table->foreignId('bike_id')->constrained();
            // It covers what began from here to `at`; the local days are both included.
            $table->unsignedBigInteger('from_at');
            $table->string('from_date', 10);
            $table->string('to_date', 10);
            $table->double('km');
            $table->string('condition');
            $table->double('odometer_km')->nullable();
        });
        self::entries('commutes', function (Blueprint $table): void {
            $table->foreignId('bike_id')->constrained();
            // 1 Monday to 7 Sunday.
            $table->json('weekdays');
            $table->string('time', 5);
            $table->double('km');
            $table->double('hours')->nullable();
            $table->string('condition');
            $table->string('from_date', 10);
            $table->string('until_date', 10)->nullable();
        });
        self::entries('rest_days', function (Blueprint $table): void {
            $table->foreignId('bike_id')->constrained();
            $table->string('date', 10);
        });
        Schema::table('fittings', fn(Blueprint $table) => $table->string('slot')->default('chain'));
        Schema::table('rides', fn(Blueprint $table) => $table->unsignedBigInteger('bike_id')->nullable()->change());
        Schema::table('actions', fn(Blueprint $table) => $table->string('user_name')->nullable());
    }

    /** @param Closure(Blueprint): mixed $columns */
    private static function entries(string $name, Closure $columns): void
    {
        Schema::create($name, function (Blueprint $table) use ($columns): void {
            $table->id();
            $table->unsignedBigInteger('at');
            $table->string('precision')->default('minute');
            $columns($table);
            $table->foreignId('workshop_id')->constrained();
            $table->foreignUuid('action_id')->index()->constrained('actions');
            $table->foreignUuid('voided_by')->nullable()->constrained('actions');
            $table->unsignedBigInteger('sequence');
            $table->unsignedBigInteger('replaces_id')->nullable()->index();
            $table->index(['workshop_id', 'voided_by', 'at']);
        });
    }
};

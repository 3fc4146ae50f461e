<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Of many workshops one page reads one: nothing of the others is looked at. */
return new class extends Migration {
    public function up(): void
    {
        foreach (
            [
                'users' => ['workshop_id'],
                'invitations' => ['workshop_id'],
                'bikes' => ['workshop_id', 'voided_by'],
                'components' => ['workshop_id', 'voided_by', 'kind'],
                'tracks' => ['workshop_id'],
                'protocols' => ['workshop_id'],
                'devices' => ['workshop_id'],
                'gauge_values' => ['workshop_id'],
                'ride_imports' => ['workshop_id'],
                'ride_files' => ['workshop_id'],
            ]
            as $table => $columns
        ) {
            Schema::table($table, fn(Blueprint $blueprint) => $blueprint->index($columns));
        }
    }
};

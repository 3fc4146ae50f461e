<?php

declare(strict_types=1);

use App\Archive\TextLists;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Lists among the settings are lists, and no texts with spaces between: weeks, weekdays, days, marks, life points. */
return new class extends Migration {
    public function up(): void
    {
        $keys = array_map(fn(SettingKey $key) => $key->value, array_filter(SettingKey::cases(), fn(SettingKey $key) => $key->isList()));
        foreach (
            DB::table('settings')
                ->whereIn('key', $keys)
                ->whereNotNull('value')
                ->get(['id', 'key', 'value'])
            as $row
        ) {
            $this->write('settings', 'value', $row->id, TextLists::read($row->key, json_decode($row->value, true)));
        }
        foreach (
            DB::table('actions')
                ->where('about', 'like', '%"changed":{%')
                ->get(['id', 'about'])
            as $row
        ) {
            $about = json_decode($row->about, true);
            $lists = TextLists::about($about);
            $lists === $about || $this->write('actions', 'about', $row->id, $lists);
        }
    }

    private function write(string $table, string $column, int|string $id, mixed $value): void
    {
        DB::table($table)
            ->where('id', $id)
            ->update([$column => json_encode($value, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)]);
    }
};

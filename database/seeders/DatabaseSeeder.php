<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Workshop;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;

/**
 * Loads the demo, once.
 */
final class DatabaseSeeder extends Seeder
{
    public function run(): void
    {
        if (Workshop::query()->exists()) {
            return;
        }
        DB::transaction(static function (): void {
            (new DemoWorkshop())->load();
        });
    }
}

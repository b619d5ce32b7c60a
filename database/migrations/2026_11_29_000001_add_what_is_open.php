<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('jobs', static function (Blueprint $table): void {
            // How many things a job leaves open: only so that they are found; what they are is read from its entries.
            $table->unsignedSmallInteger('still_open')->default(0)->index();
        });
    }

    public function down(): void
    {
        Schema::table('jobs', static fn(Blueprint $table) => $table->dropColumn('still_open'));
    }
};

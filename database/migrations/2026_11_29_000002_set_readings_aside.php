<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // A reading that the circuit of the job no longer has: it stays as a row, and in words in the ledger.
        Schema::table('strikes', function (Blueprint $table): void {
            $table->boolean('set_aside')->default(false);
        });
    }

    public function down(): void
    {
        Schema::table('strikes', function (Blueprint $table): void {
            $table->dropColumn('set_aside');
        });
    }
};

<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // A strike that was taken back at once stays as a row, and counts for nothing.
        Schema::table('strikes', function (Blueprint $table): void {
            $table->timestamp('taken_back_at', 6)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('strikes', function (Blueprint $table): void {
            $table->dropColumn('taken_back_at');
        });
    }
};

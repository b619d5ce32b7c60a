<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // What is hidden in a make-believe unit, and the seed of its values.
        Schema::table('jobs', function (Blueprint $table): void {
            $table->string('practice_fault', 160)->nullable();
            $table->unsignedBigInteger('practice_seed')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('jobs', function (Blueprint $table): void {
            $table->dropColumn(['practice_fault', 'practice_seed']);
        });
    }
};

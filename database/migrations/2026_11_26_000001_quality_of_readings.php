<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('readings', function (Blueprint $table): void {
            $table->string('instrument', 120)->nullable()->after('supply_volts');
            $table->double('lead_ohms')->default(0)->after('instrument');
            // What the rules said when it was taken: [{rule, sentence}].
            $table->json('doubts')->nullable()->after('lead_ohms');
        });
        // A reading is never changed: that its doubts were heard and it is kept is a row of its own.
        Schema::create('kept_readings', function (Blueprint $table): void {
            $table->unsignedBigInteger('reading_sequence')->primary();
            $table->foreign('reading_sequence')->references('sequence')->on('readings')->cascadeOnDelete();
            $table->foreignId('user_id')->constrained();
            $table->timestamp('kept_at', 6);
        });
        Schema::table('users', function (Blueprint $table): void {
            $table->string('unit_system', 10)->default('metric');
            $table->json('unit_exceptions')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('users', fn(Blueprint $table) => $table->dropColumn(['unit_system', 'unit_exceptions']));
        Schema::dropIfExists('kept_readings');
        Schema::table('readings', fn(Blueprint $table) => $table->dropColumn(['instrument', 'lead_ohms', 'doubts']));
    }
};

<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // What was noted twice with one id is one mark; what a device waited without the server is told with it.
        Schema::table('procedure_marks', function (Blueprint $table): void {
            $table->ulid('entry_id')->nullable()->unique();
            $table->double('waited')->nullable();
        });
        // A procedure that a device began without the server: its first wait goes by when the server heard of it.
        Schema::table('procedure_runs', function (Blueprint $table): void {
            $table->timestamp('heard_at', 6)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('procedure_marks', function (Blueprint $table): void {
            $table->dropUnique(['entry_id']);
            $table->dropColumn(['entry_id', 'waited']);
        });
        Schema::table('procedure_runs', function (Blueprint $table): void {
            $table->dropColumn('heard_at');
        });
    }
};

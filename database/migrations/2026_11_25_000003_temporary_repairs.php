<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('replacements', static fn(Blueprint $table) => $table->date('temporary_until')->nullable());
    }

    public function down(): void
    {
        Schema::table('replacements', static fn(Blueprint $table) => $table->dropColumn('temporary_until'));
    }
};

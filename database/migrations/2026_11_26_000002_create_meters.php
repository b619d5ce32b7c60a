<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('meters', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('workshop_id')->constrained();
            $table->string('name', 60);
            $table->string('host', 120);
            $table->unsignedSmallInteger('port');
            $table->string('identity', 120)->nullable();
            $table->timestamps();
            $table->unique(['workshop_id', 'name']);
        });
        // What a simulated unit is being measured at.
        Schema::table(
            'jobs',
            fn(Blueprint $table) => $table->string('test_on_bench', 80)->nullable()->after('parameters'),
        );
    }

    public function down(): void
    {
        Schema::table('jobs', fn(Blueprint $table) => $table->dropColumn('test_on_bench'));
        Schema::dropIfExists('meters');
    }
};

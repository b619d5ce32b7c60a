<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('bench_runs', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->string('model', 80);
            $table->double('pulses');
            $table->double('starts_at')->nullable();
            $table->json('points');
            $table->boolean('steady');
            $table->boolean('smooth');
            $table->boolean('loaded');
            $table->double('amps')->nullable();
            $table->string('note', 500)->nullable();
            $table->json('against');
            $table->boolean('compared');
            $table->timestamp('ran_at', 6);
            $table->index(['workshop_id', 'model', 'ran_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('bench_runs');
    }
};

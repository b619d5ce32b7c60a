<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('captures', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained();
            $table->string('name', 120);
            $table->string('position', 40)->nullable();
            // Channels, interval, count; and what was measured of each channel.
            $table->json('head');
            $table->json('pulses');
            $table->timestamp('taken_at', 6);
            $table->index(['job_id', 'taken_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('captures');
    }
};

<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('photos', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained();
            $table->unsignedBigInteger('reading_sequence')->nullable();
            $table->foreign('reading_sequence')->references('sequence')->on('readings')->cascadeOnDelete();
            $table->string('caption', 200)->nullable();
            $table->unsignedSmallInteger('width');
            $table->unsignedSmallInteger('height');
            $table->timestamp('taken_at', 6);
            $table->index(['job_id', 'taken_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('photos');
    }
};

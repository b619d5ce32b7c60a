<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('jobs', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('workshop_id')->constrained();
            $table->unsignedInteger('number');
            $table->foreignUlid('unit_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->string('kind', 20);
            $table->string('stage', 20);
            $table->text('complaint');
            $table->string('since', 120)->nullable();
            $table->boolean('intermittent')->default(false);
            $table->text('replaced_before')->nullable();
            $table->string('family', 60);
            $table->json('parameters');
            $table->timestamp('closed_at')->nullable();
            $table->timestamps();
            $table->unique(['workshop_id', 'number']);
            $table->index(['workshop_id', 'stage', 'updated_at']);
        });
        Schema::create('speed_maps', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('job_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 20);
            $table->string('noted_for', 120)->nullable();
            $table->unsignedSmallInteger('episode')->default(0);
            $table->timestamp('taken_at', 6);
            $table->index(['job_id', 'taken_at']);
        });
        Schema::create('readings', function (Blueprint $table): void {
            $table->id('sequence');
            $table->ulid('id')->unique();
            $table->foreignUlid('job_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('speed_map_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained();
            $table->string('test', 80);
            $table->double('number')->nullable();
            $table->string('choice', 40)->nullable();
            $table->boolean('over_range')->default(false);
            $table->boolean('steady')->default(true);
            $table->string('trust', 20);
            $table->double('supply_volts')->nullable();
            $table->unsignedSmallInteger('episode')->default(0);
            $table->timestamp('taken_at', 6);
            $table->index(['job_id', 'sequence']);
        });
        // A reading is never changed: striking it out is a row of its own.
        Schema::create('strikes', function (Blueprint $table): void {
            $table->unsignedBigInteger('reading_sequence')->primary();
            $table->foreign('reading_sequence')->references('sequence')->on('readings')->cascadeOnDelete();
            $table->foreignId('user_id')->constrained();
            $table->string('reason', 250)->nullable();
            $table->timestamp('struck_at', 6);
        });
        Schema::create('replacements', function (Blueprint $table): void {
            $table->id('sequence');
            $table->ulid('id')->unique();
            $table->foreignUlid('job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained();
            $table->string('remedy', 120);
            $table->string('part_number', 120)->nullable();
            $table->text('note')->nullable();
            $table->json('verdict')->nullable();
            $table->timestamp('replaced_at', 6);
            $table->index(['job_id', 'sequence']);
        });
    }

    public function down(): void
    {
        foreach (['replacements', 'strikes', 'readings', 'speed_maps', 'jobs'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};

<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // Practice takes no number of real work.
        Schema::table('workshops', fn(Blueprint $table) => $table->unsignedInteger('last_practice_number')->default(0));

        // What a lead sets for the others to work on.
        Schema::create('exercise_sets', function (Blueprint $table): void {
            $table->char('id', 26)->primary();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained();
            $table->string('title', 120);
            $table->string('way', 20);
            $table->json('units');
            $table->dateTime('made_at', 6);
            $table->index(['workshop_id', 'made_at']);
        });

        Schema::create('exercises', function (Blueprint $table): void {
            $table->char('job_id', 26)->primary();
            $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained();
            $table->string('kind', 20);
            $table->string('rung', 20);
            $table->string('way', 20);
            $table->boolean('guesses')->default(false);
            $table->json('leak')->nullable();
            $table->char('set_id', 26)->nullable();
            $table->foreign('set_id')->references('id')->on('exercise_sets')->nullOnDelete();
            $table->unsignedSmallInteger('set_unit')->nullable();
            $table->dateTime('over_at', 6)->nullable();
            $table->unsignedSmallInteger('points')->nullable();
            $table->boolean('passed')->nullable();
            $table->json('result')->nullable();
            $table->dateTime('seen_at', 6)->nullable();
            $table->index(['workshop_id', 'user_id', 'over_at']);
            $table->unique(['set_id', 'set_unit', 'user_id']);
        });

        Schema::create('exercise_acts', function (Blueprint $table): void {
            $table->id('sequence');
            $table->char('id', 26)->unique();
            $table->char('job_id', 26);
            $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
            $table->foreignId('user_id')->constrained();
            $table->string('kind', 20);
            $table->json('data');
            $table->unsignedSmallInteger('after');
            $table->dateTime('done_at', 6);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('exercise_acts');
        Schema::dropIfExists('exercises');
        Schema::dropIfExists('exercise_sets');
        Schema::table('workshops', fn(Blueprint $table) => $table->dropColumn('last_practice_number'));
    }
};

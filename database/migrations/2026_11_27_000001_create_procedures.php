<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // A workshop's own procedures, and those that it has changed.
        Schema::create('workshop_procedures', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->string('key', 60);
            $table->json('text');
            $table->foreignId('user_id')->constrained();
            $table->timestamps();
            $table->unique(['workshop_id', 'key']);
        });
        // A run keeps the procedure as it was when it began.
        Schema::create('procedure_runs', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignUlid('job_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained();
            $table->string('key', 60);
            $table->json('text');
            $table->timestamp('started_at', 6);
            $table->index(['workshop_id', 'started_at']);
            $table->index(['job_id', 'started_at']);
        });
        Schema::create('procedure_marks', function (Blueprint $table): void {
            $table->id('sequence');
            $table->foreignUlid('run_id')->constrained('procedure_runs')->cascadeOnDelete();
            $table->foreignId('user_id')->constrained();
            $table->string('kind', 20);
            $table->unsignedSmallInteger('step');
            $table->string('note', 250)->nullable();
            $table->timestamp('marked_at', 6);
        });
    }

    public function down(): void
    {
        foreach (['procedure_marks', 'procedure_runs', 'workshop_procedures'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};

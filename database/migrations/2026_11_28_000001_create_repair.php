<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // What is noted between verdict and closed job is never changed: what corrects it is a row of its own.
        Schema::create('repair_entries', function (Blueprint $table): void {
            $table->id('sequence');
            $table->ulid('id')->unique();
            $table->foreignUlid('job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained();
            $table->string('kind', 20);
            $table->json('data');
            $table->timestamp('noted_at', 6);
            $table->index(['job_id', 'sequence']);
            $table->index(['kind', 'job_id']);
        });
        Schema::create('catalogue_parts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->string('number', 80);
            $table->json('part');
            $table->timestamps();
            $table->unique(['workshop_id', 'number']);
        });
        Schema::table('jobs', function (Blueprint $table): void {
            // The part on the bench, where the job is about one that is loose.
            $table->string('part', 60)->nullable()->after('family');
            $table->string('outcome', 20)->nullable()->after('stage');
            $table->date('due_on')->nullable()->after('outcome');
            $table->index(['workshop_id', 'due_on']);
        });
    }

    public function down(): void
    {
        Schema::table('jobs', fn(Blueprint $table) => $table->dropColumn(['part', 'outcome', 'due_on']));
        Schema::dropIfExists('catalogue_parts');
        Schema::dropIfExists('repair_entries');
    }
};

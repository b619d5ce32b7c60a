<?php

use App\Learning\ResultOfJob;
use App\Models\Job;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Ispira\Core\Job\JobStage;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('workshops', function (Blueprint $table): void {
            $table->string('odds', 10)->default('own');
            $table->unsignedSmallInteger('again_months')->default(24);
            $table->string('time_zone', 60)->default('UTC');
        });
        Schema::table('users', fn(Blueprint $table) => $table->string('numbers', 10)->default('point'));
        // What was replaced on the unit or its model not long before the job.
        Schema::table('jobs', function (Blueprint $table): void {
            $table->json('again')->nullable();
            // That of its unit, so that a model finds its newest jobs without sorting all of them.
            $table->string('model', 120)->default('');
            $table->index(['workshop_id', 'model', 'created_at', 'id']);
        });
        DB::statement(
            "update jobs join units on units.id = jobs.unit_id set jobs.model = coalesce(trim(units.model), '')",
        );
        // What came of each job, once it has ended or something was replaced: see docs/learning.md.
        Schema::create('job_results', function (Blueprint $table): void {
            $table->char('job_id', 26)->primary();
            $table->foreignId('workshop_id')->constrained();
            $table->string('family', 40);
            $table->string('model', 120)->default('');
            $table->foreignId('owner_id')->nullable()->constrained('users');
            $table->date('closed_on')->nullable();
            $table->boolean('right_first')->nullable();
            $table->boolean('came_back')->default(false);
            // Whether something was replaced that did not hold.
            $table->boolean('in_vain')->default(false);
            $table->double('minutes');
            $table->double('avoidable');
            $table->double('guessing')->nullable();
            $table->json('verdicts');
            $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
            $table->index(['workshop_id', 'closed_on']);
            $table->index(['workshop_id', 'in_vain', 'job_id']);
            $table->index(['workshop_id', 'family', 'model', 'closed_on']);
        });
        // What a proven job counts for: each fault of what cured it, with its share of the one job.
        Schema::create('proven_faults', function (Blueprint $table): void {
            $table->char('job_id', 26);
            $table->foreignId('workshop_id')->constrained();
            $table->string('family', 40);
            $table->string('model', 120)->default('');
            $table->string('remedy', 120);
            $table->string('fault', 120)->default('');
            $table->double('share');
            $table->primary(['job_id', 'fault']);
            $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
        });
        // What somebody noted for next time, of verdicts that did not hold.
        Schema::create('lessons', function (Blueprint $table): void {
            $table->char('job_id', 26)->primary();
            $table->foreignId('workshop_id')->constrained();
            $table->string('family', 40);
            $table->string('model', 120)->default('');
            $table->string('remedy', 120);
            $table->string('lesson', 1000);
            $table->timestamp('noted_at')->nullable();
            $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
            $table->index(['workshop_id', 'family', 'model', 'noted_at']);
            $table->index(['workshop_id', 'noted_at']);
        });
        // The sums of it, kept with it: every page of a job asks for them.
        Schema::create('proven_counts', function (Blueprint $table): void {
            $table->foreignId('workshop_id')->constrained();
            $table->string('family', 40);
            $table->string('model', 120)->default('');
            $table->string('remedy', 120);
            $table->string('fault', 120)->default('');
            $table->double('jobs');
            $table->primary(['workshop_id', 'family', 'model', 'remedy', 'fault']);
        });
        // What tests and parts took on closed jobs.
        Schema::create('noted_terms', function (Blueprint $table): void {
            $table->id();
            $table->char('job_id', 26)->index();
            $table->foreignId('workshop_id')->constrained();
            $table->string('family', 40);
            $table->string('model', 120)->default('');
            $table->string('kind', 12);
            $table->string('term', 80);
            $table->string('source', 120)->default('');
            $table->double('value');
            $table->char('unit_id', 26)->default('');
            $table->date('noted_on');
            $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
            $table->index(['workshop_id', 'family', 'id']);
        });
        Schema::create('pinned_terms', function (Blueprint $table): void {
            $table->foreignId('workshop_id')->constrained();
            $table->string('family', 40);
            $table->string('kind', 12);
            $table->string('term', 80);
            $table->double('value');
            $table->foreignId('user_id')->constrained();
            $table->timestamp('pinned_at')->nullable();
            $table->primary(['workshop_id', 'family', 'kind', 'term']);
        });
        // Counts that came in the file of another workshop, and what they weigh beside the own ones.
        Schema::create('experiences', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->string('name', 120);
            $table->date('made_on');
            $table->double('weight');
            $table->double('jobs');
            $table->timestamps();
            $table->unique(['workshop_id', 'name']);
        });
        Schema::create('experience_faults', function (Blueprint $table): void {
            $table->id();
            $table->char('experience_id', 26);
            $table->string('family', 40);
            $table->string('model', 120)->default('');
            $table->string('remedy', 120);
            $table->string('fault', 120)->default('');
            $table->double('jobs');
            $table->foreign('experience_id')->references('id')->on('experiences')->cascadeOnDelete();
            $table->index(['experience_id', 'family', 'model', 'remedy', 'fault', 'jobs'], 'experience_faults_counted');
        });
        Job::query()
            ->where(fn($job) => $job->where('stage', JobStage::Closed)->orWhereHas('replacements'))
            ->lazyById(100)
            ->each(static fn(Job $job) => ResultOfJob::note($job));
    }

    public function down(): void
    {
        Schema::dropIfExists('pinned_terms');
        Schema::dropIfExists('noted_terms');
        Schema::dropIfExists('lessons');
        Schema::dropIfExists('experience_faults');
        Schema::dropIfExists('experiences');
        Schema::dropIfExists('proven_counts');
        Schema::dropIfExists('proven_faults');
        Schema::dropIfExists('job_results');
        Schema::table('users', fn(Blueprint $table) => $table->dropColumn('numbers'));
        Schema::table('jobs', function (Blueprint $table): void {
            $table->dropIndex(['workshop_id', 'model', 'created_at', 'id']);
            $table->dropColumn(['again', 'model']);
        });
        Schema::table('workshops', fn(Blueprint $table) => $table->dropColumn(['odds', 'again_months', 'time_zone']));
    }
};

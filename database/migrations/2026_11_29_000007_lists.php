<?php

use App\Jobs\JobTerms;
use App\Models\Job;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('units', function (Blueprint $table): void {
            $table->boolean('practice')->default(false);
            $table->timestamp('retired_at')->nullable();
            $table->string('note', 500)->nullable();
            $table->string('words', 800)->default('');
            $table->fullText('words');
            $table->index(['workshop_id', 'updated_at']);
        });
        Schema::table('jobs', function (Blueprint $table): void {
            // What the list of jobs shows of the newest map; null until it is drawn anew.
            $table->json('strip')->nullable();
            $table->date('lent_until')->nullable()->after('part_expected_on');
            $table->index(['workshop_id', 'updated_at', 'id']);
            $table->index(['workshop_id', 'owner_id', 'updated_at']);
            $table->index(['workshop_id', 'family', 'updated_at']);
            $table->index(['workshop_id', 'still_open']);
            $table->index(['unit_id', 'created_at']);
            $table->index(['workshop_id', 'lent_until']);
            $table->index(['workshop_id', 'countersign_due', 'updated_at']);
        });
        // The words that people remember a job by, each once: found by how they begin, and asked of a job by its number.
        Schema::create('job_terms', function (Blueprint $table): void {
            $table->unsignedBigInteger('workshop_id');
            $table->string('term', 60);
            $table->unsignedInteger('number');
            $table->primary(['workshop_id', 'term', 'number']);
            $table->index(['workshop_id', 'number', 'term']);
            $table
                ->foreign(['workshop_id', 'number'])
                ->references(['workshop_id', 'number'])
                ->on('jobs')
                ->cascadeOnDelete();
        });
        DB::table('units')
            ->whereIn('id', DB::table('jobs')->whereNotNull('practice_fault')->select('unit_id'))
            ->update(['practice' => true]);
        Job::query()->chunkById(200, static function ($jobs): void {
            foreach ($jobs as $job) {
                $job->unit->save();
                $job->recountOpen();
                JobTerms::note($job);
            }
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('job_terms');
        Schema::table('jobs', function (Blueprint $table): void {
            $table->dropIndex(['workshop_id', 'updated_at', 'id']);
            $table->dropIndex(['workshop_id', 'owner_id', 'updated_at']);
            $table->dropIndex(['workshop_id', 'family', 'updated_at']);
            $table->dropIndex(['workshop_id', 'still_open']);
            $table->dropIndex(['unit_id', 'created_at']);
            $table->dropIndex(['workshop_id', 'lent_until']);
            $table->dropIndex(['workshop_id', 'countersign_due', 'updated_at']);
            $table->dropColumn(['strip', 'lent_until']);
        });
        Schema::table('units', function (Blueprint $table): void {
            $table->dropFullText(['words']);
            $table->dropIndex(['workshop_id', 'updated_at']);
            $table->dropColumn(['practice', 'retired_at', 'note', 'words']);
        });
    }
};

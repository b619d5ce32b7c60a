<?php

declare(strict_types=1);

use App\Captures\CaptureFiles;
use App\Models\Photo;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;

return new class extends Migration {
    public function up(): void
    {
        foreach (['captures', 'photos'] as $name) {
            Schema::table($name, static function (Blueprint $table): void {
                $table->unsignedBigInteger('bytes')->default(0);
            });
        }
        // A model finds its units in the order of their names.
        Schema::table('units', static function (Blueprint $table): void {
            $table->index(['workshop_id', 'practice', 'model', 'name']);
        });
        // What is due is counted without looking at a job, and found in its order; practice is left out by the index.
        Schema::table('jobs', static function (Blueprint $table): void {
            $table->index(['workshop_id', 'practice_fault', 'due_on']);
            $table->index(['workshop_id', 'practice_fault', 'part_expected_on']);
            $table->index(['workshop_id', 'practice_fault', 'still_open', 'number'], 'jobs_still_open_number_index');
            $table->dropIndex(['workshop_id', 'due_on']);
            $table->dropIndex(['workshop_id', 'part_expected_on']);
            $table->dropIndex(['workshop_id', 'still_open']);
            $table->dropIndex(['still_open']);
        });
        foreach (DB::table('captures')->pluck('id') as $id) {
            DB::table('captures')
                ->where('id', $id)
                ->update(['bytes' => CaptureFiles::bytes((string) $id)]);
        }
        foreach (Photo::query()->lazyById(200) as $photo) {
            if (Storage::exists($photo->path())) {
                $photo->update(['bytes' => Storage::size($photo->path())]);
            }
        }
        // What every machine that serves has to know of: answers kept for a while, tries counted, locks.
        Schema::create('cache', static function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->mediumText('value');
            $table->integer('expiration')->index();
        });
        Schema::create('cache_locks', static function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->string('owner');
            $table->integer('expiration')->index();
        });
        Schema::create('slow_requests', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('request', 26);
            $table->string('route', 120);
            $table->unsignedInteger('milliseconds');
            $table->timestamp('at')->index();
            $table->index(['workshop_id', 'at']);
        });
        Schema::create('backups', static function (Blueprint $table): void {
            $table->id();
            $table->string('name', 190);
            $table->unsignedBigInteger('bytes');
            $table->boolean('encrypted');
            $table->timestamp('at')->index();
        });
    }

    public function down(): void
    {
        foreach (['backups', 'slow_requests', 'cache_locks', 'cache'] as $name) {
            Schema::dropIfExists($name);
        }
        Schema::table('units', static function (Blueprint $table): void {
            $table->dropIndex(['workshop_id', 'practice', 'model', 'name']);
        });
        Schema::table('jobs', static function (Blueprint $table): void {
            $table->index(['workshop_id', 'due_on']);
            $table->index(['workshop_id', 'part_expected_on']);
            $table->index(['workshop_id', 'still_open']);
            $table->index(['still_open']);
            $table->dropIndex(['workshop_id', 'practice_fault', 'due_on']);
            $table->dropIndex(['workshop_id', 'practice_fault', 'part_expected_on']);
            $table->dropIndex('jobs_still_open_number_index');
        });
        foreach (['captures', 'photos'] as $name) {
            Schema::table($name, static fn(Blueprint $table) => $table->dropColumn('bytes'));
        }
    }
};

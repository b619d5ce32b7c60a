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
        foreach (['captures', 'photos'] as $name) {
            Schema::table($name, static fn(Blueprint $table) => $table->dropColumn('bytes'));
        }
    }
};

<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

return new class extends Migration {
    private const NOTED = ['readings', 'repair_entries', 'replacements', 'photos', 'procedure_marks'];

    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->timestamp('disabled_at')->nullable();
            $table->timestamp('seen_at')->nullable();
            // Sessions that carry another one have ended.
            $table->char('session_key', 26)->default('');
            $table->string('theme', 10)->nullable();
        });
        Schema::table('workshops', function (Blueprint $table): void {
            $table->string('address', 400)->nullable();
            $table->string('contact', 200)->nullable();
            $table->string('tax_line', 200)->nullable();
            $table->string('unit_system', 10)->default('metric');
            $table->char('opens_at', 5)->default('08:00');
            $table->char('closes_at', 5)->default('17:00');
            $table->json('working_days')->nullable();
            $table->json('missing_tools')->nullable();
        });
        Schema::create('invitations', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('user_id')->constrained();
            // Whose password it renews; null where it invites somebody new.
            $table->foreignId('renews')->nullable()->constrained('users');
            $table->string('name', 120);
            $table->string('email', 190);
            $table->string('role', 20);
            $table->char('token', 64)->unique();
            $table->timestamp('expires_at');
            $table->timestamp('used_at')->nullable();
            $table->timestamp('withdrawn_at')->nullable();
            $table->timestamps();
            $table->index(['workshop_id', 'used_at', 'withdrawn_at', 'expires_at']);
        });
        Schema::create('audit_entries', function (Blueprint $table): void {
            $table->id('sequence');
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->string('act', 40);
            $table->string('about', 190);
            $table->string('detail', 500)->nullable();
            $table->timestamp('done_at', 6);
            $table->index(['workshop_id', 'sequence']);
        });
        // Who noted what came with a file: a name, since the person is none of this workshop.
        foreach (self::NOTED as $noted) {
            Schema::table($noted, fn(Blueprint $table) => $table->string('author', 120)->nullable());
        }
        Schema::table('jobs', function (Blueprint $table): void {
            $table->foreignId('owner_id')->nullable()->after('user_id')->constrained('users');
            $table->date('part_expected_on')->nullable()->after('due_on');
            $table->boolean('countersign_due')->default(false)->after('still_open');
            $table->index(['workshop_id', 'part_expected_on']);
        });
        foreach (DB::table('users')->pluck('id') as $id) {
            DB::table('users')
                ->where('id', $id)
                ->update(['session_key' => strtolower((string) Str::ulid())]);
        }
        DB::table('jobs')->update(['owner_id' => DB::raw('user_id')]);
    }

    public function down(): void
    {
        Schema::table('jobs', function (Blueprint $table): void {
            $table->dropForeign(['owner_id']);
            $table->dropIndex(['workshop_id', 'part_expected_on']);
            $table->dropColumn(['owner_id', 'part_expected_on', 'countersign_due']);
        });
        foreach (self::NOTED as $noted) {
            Schema::table($noted, fn(Blueprint $table) => $table->dropColumn('author'));
        }
        Schema::dropIfExists('audit_entries');
        Schema::dropIfExists('invitations');
        Schema::table(
            'workshops',
            fn(Blueprint $table) => $table->dropColumn([
                'address',
                'contact',
                'tax_line',
                'unit_system',
                'opens_at',
                'closes_at',
                'working_days',
                'missing_tools',
            ]),
        );
        Schema::table(
            'users',
            fn(Blueprint $table) => $table->dropColumn(['disabled_at', 'seen_at', 'session_key', 'theme']),
        );
    }
};

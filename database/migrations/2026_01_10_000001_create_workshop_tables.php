<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('workshops', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120);
            $table->char('currency', 3)->default('EUR');
            $table->decimal('labour_per_hour', 8, 2)->default(75);
            $table->decimal('come_back_hours', 5, 2)->default(1.5);
            $table->unsignedInteger('last_job_number')->default(0);
            $table->timestamps();
        });
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->string('name', 120);
            $table->string('email', 190)->unique();
            $table->string('password');
            $table->enum('role', ['lead', 'technician', 'trainee']);
            $table->json('missing_tools')->nullable();
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('units', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('workshop_id')->constrained();
            $table->string('name', 120);
            $table->string('place', 120)->nullable();
            $table->string('model', 120)->nullable();
            $table->timestamps();
            $table->index(['workshop_id', 'name']);
            $table->index(['workshop_id', 'model']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('units');
        Schema::dropIfExists('users');
        Schema::dropIfExists('workshops');
    }
};

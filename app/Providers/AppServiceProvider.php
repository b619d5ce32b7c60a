<?php

declare(strict_types=1);

namespace App\Providers;

use App\Bench\FilePredictionStore;
use App\Database\PatientConnection;
use App\Jobs\BuiltCircuit;
use App\Models\User;
use App\People\Ability;
use App\Workshop\StoredWorkplace;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\ServiceProvider;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Pages\Workplace;
use Ispira\Core\Planning\PlannerRegistry;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        Connection::resolverFor('mariadb', static fn(...$given) => new PatientConnection(...$given));
        $this->app->singleton(FamilyRegistry::class, static fn(): FamilyRegistry => FamilyRegistry::shipped());
        $this->app->singleton(PlannerRegistry::class);
        $this->app->scoped(BuiltCircuit::class);
        $this->app->bind(Workplace::class, StoredWorkplace::class);
        $this->app->bind(DisplayUnits::class, static function (): DisplayUnits {
            $user = Auth::user();

            return $user instanceof User ? $user->displayUnits() : new DisplayUnits();
        });
        $this->app->singleton(
            PredictionStore::class,
            static fn(): PredictionStore => new FilePredictionStore(config()->string('ispira.predictions')),
        );
    }

    public function boot(): void
    {
        // Tests wipe their database: never one that is not theirs, whatever configuration was kept.
        DB::prohibitDestructiveCommands(
            $this->app->environment('testing') &&
                !str_ends_with(config()->string('database.connections.mariadb.database'), '_test'),
        );

        // What was written in a transaction that has to be repeated is written again.
        Event::listen(['eloquent.saving: *', 'eloquent.deleting: *'], static function (
            string $name,
            array $models,
        ): void {
            $model = $models[0] ?? null;
            $connection = $model instanceof Model ? $model->getConnection() : null;
            if ($model instanceof Model && $connection instanceof PatientConnection) {
                $connection->remember($model);
            }
        });

        foreach (Ability::cases() as $ability) {
            Gate::define($ability->value, static fn(User $user): bool => $user->may($ability));
        }

        // Every job is looked up inside the user's own workshop: another's is not found.
        Route::bind('job', static function (string $id) {
            $user = Auth::user();
            abort_unless($user instanceof User, 404);

            return $user->workshop->jobs()->findOrFail($id)->setRelation('workshop', $user->workshop);
        });
    }
}

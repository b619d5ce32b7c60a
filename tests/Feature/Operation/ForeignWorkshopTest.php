<?php

declare(strict_types=1);

namespace Tests\Feature\Operation;

use App\Models\Job;
use App\Models\ProcedureRun;
use App\Models\User;
use App\Operation\WorkshopTables;
use App\People\Role;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Inertia\Inertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/**
 * Everything of another workshop, asked for by every route, by every role, with its ids in addresses, queries and bodies:
 * it is not found, nothing of it is told, and nothing of it changes.
 */
final class ForeignWorkshopTest extends TestCase
{
    private const SECRET = 'Grumbling ferry of the others';

    /** @return iterable<string, array{Role}> */
    public static function roles(): iterable
    {
        foreach (Role::cases() as $role) {
            yield $role->value => [$role];
        }
    }

    /** @return array<string, string> ids of the other workshop by the place that they take in an address */
    private function others(): array
    {
        $lead = $this->person('lead');
        $lead->update(['name' => self::SECRET]);
        $lead->workshop->update(['name' => self::SECRET]);
        $job = $this->jobOnBench($lead);
        $job->update(['complaint' => self::SECRET]);
        $job->unit->update(['name' => self::SECRET]);
        $reading = $this->ulid();
        $this->post("/jobs/$job->id/readings", ['id' => $reading, 'test' => 'battery-volts@4', 'value' => '12.5']);
        $this->post("/jobs/$job->id/photos", ['id' => $this->ulid(), 'photo' => UploadedFile::fake()->image('a.jpg')]);
        $run = $this->ulid();
        $this->post('/procedures/capacitor-discharge/runs', ['id' => $run, 'job' => $job->id]);
        $this->post('/people/invite', ['name' => 'Nils', 'email' => 'nils@others.test', 'role' => 'trainee']);
        $meter = $lead->workshop->meters()->create(['name' => 'A', 'host' => '127.0.0.1', 'port' => 1025]);

        return [
            'job' => $job->id,
            'unit' => $job->unit_id,
            'reading' => $reading,
            'photo' => (string) $job->photos()->value('id'),
            'run' => (string) ProcedureRun::query()->where('workshop_id', $lead->workshop_id)->value('id'),
            'meter' => (string) $meter->id,
            'person' => (string) $lead->id,
            'invitation' => (string) $lead->workshop->invitations()->value('id'),
            'capture' => $this->ulid(),
            'experience' => $this->ulid(),
            'set' => $lead->workshop->exerciseSets()->create([
                'user_id' => $lead->id,
                'title' => self::SECRET,
                'way' => 'own',
                'units' => [['family' => 'wiper', 'kind' => 'single', 'seed' => 1]],
                'made_at' => now(),
            ])->id,
        ];
    }

    /** Everything that the other workshop holds. */
    private function held(int $workshop): string
    {
        $tables = new WorkshopTables();
        $rows = '';
        foreach ([...$tables->names(), 'invitations'] as $table) {
            $kept = array_map(
                static fn(object $row): string => serialize((array) $row),
                $tables->rows($table, $workshop)->get()->all(),
            );
            sort($kept);
            $rows .= "$table: " . implode('|', $kept);
        }

        return $rows;
    }

    #[DataProvider('roles')]
    public function testNothingOfAnotherWorkshopIsFoundByItsAddress(Role $role): void
    {
        $others = $this->others();
        $workshop = Job::query()->findOrFail($others['job'])->workshop_id;
        $before = $this->held($workshop);
        $asking = $this->person($role->value);
        $seen = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            preg_match_all('/\{(\w+)\}/', $route->uri(), $places);
            if (array_intersect($places[1], array_keys($others)) === []) {
                continue;
            }
            $address = (string) preg_replace_callback(
                '/\{(\w+)\}/',
                static fn(array $place): string => $others[$place[1]] ??
                    (['format' => 'csv', 'for' => 'file', 'key' => 'wire-and-splice', 'token' => 'x'][$place[1]] ??
                        'x'),
                $route->uri(),
            );
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                // What pages share is kept from one request to the next in this process only.
                Inertia::flushShared();
                $answer = $this->actingAs($asking)->call($method, "/$address");
                self::assertContains($answer->getStatusCode(), [403, 404], "$method /$address");
                self::assertStringNotContainsString(self::SECRET, (string) $answer->getContent(), "$method /$address");
                ++$seen;
            }
        }
        self::assertGreaterThan(60, $seen);
        self::assertSame($before, $this->held($workshop));
    }

    /** The requests that the fuzzer spoils, with ids of the other workshop in every place that takes one. */
    #[DataProvider('roles')]
    public function testNothingOfAnotherWorkshopIsReachedFromABodyOrAQuery(Role $role): void
    {
        $others = $this->others();
        $workshop = Job::query()->findOrFail($others['job'])->workshop_id;
        $before = $this->held($workshop);
        $asking = $this->person($role->value);
        $own = $this->jobOnBench($asking);
        $ownPlaces = ['job' => $own->id, 'unit' => $own->unit_id, 'person' => (string) $asking->id];
        $seeds = json_decode((string) file_get_contents(base_path('tests/Fuzz/requests.json')), true);
        foreach ($seeds as $route => $bodies) {
            [$method, $uri] = explode(' ', $route, 2);
            if (str_contains($uri, 'sign-') || str_contains($uri, 'password') || $method === 'DELETE') {
                continue;
            }
            $address = (string) preg_replace_callback(
                '/\{(\w+)\}/',
                static fn(array $place): string => $ownPlaces[$place[1]] ?? ($others[$place[1]] ?? 'x'),
                $uri,
            );
            foreach ($bodies as $body) {
                foreach (array_unique(array_values($others)) as $id) {
                    $with = $this->replaced($body, $id);
                    if ($with === $body) {
                        break;
                    }
                    Inertia::flushShared();
                    $answer = $this->actingAs($asking)->call($method, "/$address", $with);
                    self::assertLessThan(500, $answer->getStatusCode(), "$route " . json_encode($with));
                    self::assertStringNotContainsString(
                        self::SECRET,
                        (string) $answer->getContent(),
                        "$route " . json_encode($with),
                    );
                }
            }
        }
        self::assertSame($before, $this->held($workshop));
        self::assertSame(
            0,
            DB::table('jobs')->where('unit_id', $others['unit'])->where('id', '!=', $others['job'])->count(),
        );
        self::assertInstanceOf(User::class, $asking->refresh());
    }

    /**
     * A body in which everything that looks like an id is another one; the id of the request itself too.
     *
     * @param array<array-key, mixed> $body
     *
     * @return array<array-key, mixed>
     */
    private function replaced(array $body, string $id): array
    {
        foreach ($body as $key => $value) {
            $body[$key] = match (true) {
                is_array($value) => $this->replaced($value, $id),
                is_string($value) && preg_match('/^[0-9A-Za-z]{26}$/', $value) === 1 => $id,
                in_array($key, ['person', 'owner', 'to', 'unitId', 'reading', 'job', 'meter'], true) => $id,
                default => $value,
            };
        }

        return $body;
    }
}

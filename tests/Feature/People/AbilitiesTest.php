<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use App\Models\Job;
use App\Models\User;
use App\People\Ability;
use App\People\Role;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class AbilitiesTest extends TestCase
{
    /** Those that somebody reaches who is not signed in. */
    private const OPEN = ['shell', 'sign-in', 'invited/{token}', 'health'];

    public function testEveryRouteNamesWhatItTakes(): void
    {
        foreach (self::closed() as $route) {
            self::assertNotNull(self::ability($route), "{$route->methods()[0]} /{$route->uri()} names no ability.");
        }
        self::assertGreaterThan(100, count(self::closed()));
    }

    /** @return iterable<string, array{Role}> */
    public static function roles(): iterable
    {
        foreach (Role::cases() as $role) {
            yield $role->value => [$role];
        }
    }

    #[DataProvider('roles')]
    public function testEveryRouteIsClosedToThoseWhoMayNot(Role $role): void
    {
        $lead = $this->person('lead');
        $job = $this->jobOnBench($lead);
        $user = $role === Role::Lead ? $lead : $this->person($role->value, $lead->workshop);
        foreach (self::closed() as $route) {
            if ($route->uri() === 'sign-out') {
                continue;
            }
            $status = $this->actingAs($user)
                ->call($route->methods()[0], '/' . $this->address($route, $job, $user))
                ->getStatusCode();
            $may = $role->reaches(self::ability($route)?->least() ?? Role::Lead);
            self::assertSame(
                $may,
                $status !== 403,
                "$role->value, {$route->methods()[0]} /{$route->uri()}: answered with $status.",
            );
            self::assertLessThan(500, $status, "{$route->methods()[0]} /{$route->uri()}");
        }
    }

    public function testNobodyReachesAnyOfThemWithoutSigningIn(): void
    {
        $lead = $this->person('lead');
        $job = $this->jobOnBench($lead);
        auth()->logout();
        foreach (self::closed() as $route) {
            $this->call($route->methods()[0], '/' . $this->address($route, $job, $lead))->assertRedirect('/sign-in');
        }
    }

    public function testTheTableInTheDocsIsTheOneThatIsChecked(): void
    {
        $docs = (string) file_get_contents(__DIR__ . '/../../../docs/people.md');
        foreach (Ability::cases() as $ability) {
            $row = array_map(
                static fn(Role $role): string => $role->reaches($ability->least()) ? 'yes' : 'no',
                Role::cases(),
            );
            self::assertMatchesRegularExpression(
                '/^\| ' . preg_quote($ability->what(), '/') . ' +\| ' . implode(' +\| ', $row) . ' +\|$/m',
                $docs,
            );
        }
    }

    /** @return list<Route> */
    private static function closed(): array
    {
        return array_values(
            array_filter(
                Routes::getRoutes()->getRoutes(),
                static fn(Route $route): bool => !in_array($route->uri(), self::OPEN, true),
            ),
        );
    }

    private static function ability(Route $route): ?Ability
    {
        foreach ($route->gatherMiddleware() as $middleware) {
            if (is_string($middleware) && str_starts_with($middleware, 'can:')) {
                return Ability::tryFrom(substr($middleware, 4));
            }
        }

        return null;
    }

    private function address(Route $route, Job $job, User $user): string
    {
        return strtr($route->uri(), [
            '{job}' => $job->id,
            '{unit}' => $job->unit_id,
            '{person}' => (string) $user->id,
            '{reading}' => $job->readings->first()->id ?? '',
            '{key}' => 'none',
            '{for}' => 'file',
            '{format}' => 'csv',
            '{meter}' => $this->ulid(),
            '{photo}' => $this->ulid(),
            '{capture}' => $this->ulid(),
            '{run}' => $this->ulid(),
            '{invitation}' => $this->ulid(),
        ]);
    }
}

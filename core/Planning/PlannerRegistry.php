<?php

declare(strict_types=1);

namespace Ispira\Core\Planning;

/**
 * Finds the planners by their folders: `Foo/FooPlanner.php` under this one.
 */
final class PlannerRegistry
{
    /** @var array<string, Planner> by key */
    private array $planners = [];

    public function __construct()
    {
        foreach (glob(__DIR__ . '/*/*Planner.php') ?: [] as $file) {
            $class = __NAMESPACE__ . '\\' . basename(\dirname($file)) . '\\' . basename($file, '.php');
            if (is_a($class, Planner::class, true)) {
                $planner = new $class();
                $this->planners[$planner->key()] = $planner;
            }
        }
    }

    /** @return array<string, Planner> */
    public function all(): array
    {
        return $this->planners;
    }

    public function find(string $key): ?Planner
    {
        return $this->planners[$key] ?? null;
    }
}

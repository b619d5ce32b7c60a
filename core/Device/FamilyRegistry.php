<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * Finds the families by their folders: `Foo/FooFamily.php` under a registered place is one.
 */
final class FamilyRegistry
{
    /** @var array<string, Family> by key */
    private array $families = [];

    /** @param array<string, string> $places namespace by folder */
    public function __construct(array $places)
    {
        foreach ($places as $folder => $namespace) {
            foreach (glob($folder . '/*/*Family.php') ?: [] as $file) {
                $class = $namespace . '\\' . basename(\dirname($file)) . '\\' . basename($file, '.php');
                if (is_a($class, Family::class, true)) {
                    $family = new $class();
                    $this->families[$family->key()] = $family;
                }
            }
        }
    }

    public static function shipped(): self
    {
        return new self([\dirname(__DIR__) . '/Families' => 'Ispira\\Core\\Families']);
    }

    /** @return array<string, Family> */
    public function all(): array
    {
        return $this->families;
    }

    /**
     * @param array<array-key, mixed> $keys those that are wanted; all when there are none
     *
     * @return array<string, Family> by key
     */
    public function wanted(array $keys): array
    {
        return $keys === []
            ? $this->families
            : array_filter(
                $this->families,
                static fn(string $key): bool => \in_array($key, $keys, true),
                \ARRAY_FILTER_USE_KEY,
            );
    }

    public function has(string $key): bool
    {
        return isset($this->families[$key]);
    }

    public function get(string $key): Family
    {
        return $this->families[$key] ?? throw new ParameterError(['family' => "No circuit family is called \"$key\"."]);
    }
}

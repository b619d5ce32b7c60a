<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * A finding that says more than which part has failed: what let the water in is looked for before the job closes.
 */
final readonly class FollowedUp
{
    /**
     * @param string                      $key   stable within its family
     * @param array<string, list<string>> $found answers that mean it, by name of test
     * @param string                      $open  what has to be looked into
     */
    public function __construct(public string $key, public array $found, public string $open) {}
}

<?php

declare(strict_types=1);

namespace Tests\Feature\Operation;

use App\Console\ShippedPackages;
use Tests\TestCase;

final class PackagesTest extends TestCase
{
    public function testTheListOfWhatIsShippedIsThatOfThisTree(): void
    {
        $packages = ShippedPackages::all(base_path());
        self::assertGreaterThan(100, count($packages));
        $kept = json_decode((string) file_get_contents(base_path('docs/packages.spdx.json')), true);
        self::assertSame(
            ShippedPackages::spdx($packages),
            $kept,
            'docs/packages.spdx.json is of other packages: run bin/artisan ispira:packages',
        );
        $notices = (string) file_get_contents(base_path('docs/notices.md'));
        foreach ($packages as $one) {
            self::assertStringContainsString("{$one['name']} {$one['version']} (", $notices);
            self::assertNotSame('', $one['licence'], $one['name']);
        }
    }

    public function testEveryPackageOfPhpIsPinnedToOneVersion(): void
    {
        $composer = json_decode((string) file_get_contents(base_path('composer.json')), true);
        $pinned = $composer['require'] + $composer['require-dev'];
        foreach ($composer['repositories'] as $repository) {
            $pinned += $repository['package']['require'];
        }
        $installed = json_decode((string) file_get_contents(base_path('vendor/composer/installed.json')), true);
        foreach ($installed['packages'] as $one) {
            self::assertSame(ltrim($one['version'], 'v'), $pinned[$one['name']] ?? null, $one['name']);
        }
    }
}

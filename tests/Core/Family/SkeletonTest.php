<?php

declare(strict_types=1);

namespace Tests\Core\Family;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Trial\Policy;
use Ispira\Core\Diagnosis\Trial\Trial;

/**
 * The skeleton that a new family starts from keeps to the contract, and its faults are found.
 */
final class SkeletonTest extends FamilyContract
{
    private static ?FamilyRegistry $registry = null;

    protected static function registry(): FamilyRegistry
    {
        if (self::$registry === null) {
            $skeleton = __DIR__ . '/../../../resources/skeletons/family';
            $folder = sys_get_temp_dir() . '/ispira-skeleton-' . getmypid();
            @mkdir("$folder/BilgePump", 0o777, true);
            $words = [
                '{{ namespace }}' => 'Skeleton',
                '{{ class }}' => 'BilgePump',
                '{{ key }}' => 'bilge-pump',
                '{{ name }}' => 'Bilge pump',
            ];
            foreach (['Family.php' => 'BilgePumpFamily.php', 'texts.en.json' => 'texts.en.json'] as $stub => $file) {
                file_put_contents(
                    "$folder/BilgePump/$file",
                    strtr((string) file_get_contents("$skeleton/$stub.stub"), $words),
                );
            }
            require_once "$folder/BilgePump/BilgePumpFamily.php";
            self::$registry = new FamilyRegistry([$folder => 'Skeleton']);
        }

        return self::$registry;
    }

    public function testItsFaultsAreFound(): void
    {
        $right = $jobs = 0;
        foreach ((new Trial(self::registry()->get('bilge-pump'), 3))->run([], Policy::Engine, 2) as $job) {
            $jobs += $job['group'] === 'lasting' ? 1 : 0;
            $right += $job['group'] === 'lasting' && $job['outcome']->right ? 1 : 0;
        }
        self::assertGreaterThan(10, $jobs);
        self::assertGreaterThanOrEqual(0.9 * $jobs, $right);
    }
}

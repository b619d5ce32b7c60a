<?php

/*
 * Starts the desk where no Composer is: on a device, whose PHP has no mbstring. Stands beside the folders of the core;
 * the polyfills stand where Composer puts them.
 */

declare(strict_types=1);

use Ispira\Core\Away\Desk;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Planning\PlannerRegistry;

spl_autoload_register(static function (string $class): void {
    if (str_starts_with($class, 'Ispira\\Core\\')) {
        require __DIR__ . '/../' . str_replace('\\', '/', substr($class, 12)) . '.php';
    } elseif (preg_match('/^Symfony\\\\Polyfill\\\\(\w+)\\\\(\w+)$/', $class, $found) === 1) {
        require __DIR__ . '/../../vendor/symfony/polyfill-' . strtolower($found[1]) . "/$found[2].php";
    }
});
foreach (['iconv', 'mbstring'] as $extension) {
    if (!extension_loaded($extension)) {
        require __DIR__ . "/../../vendor/symfony/polyfill-$extension/bootstrap.php";
    }
}

return new Desk(FamilyRegistry::shipped(), new PlannerRegistry(), new MemoryStore());

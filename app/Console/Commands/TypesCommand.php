<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\TypeScript\PropTypes;
use App\Http\SignedIn;
use Illuminate\Console\Command;
use Ispira\Core\Kernel\Page;
use Symfony\Component\Finder\Finder;

/**
 * Writes the TypeScript types of everything that pages are sent, from the PHP classes that send it.
 */
final class TypesCommand extends Command
{
    private const FILE = 'resources/js/generated/props.ts';

    protected $signature = 'ispira:types {--check : fail when the file differs, and write nothing}';

    protected $description = 'Write the types of TypeScript from the classes of PHP';

    public function handle(PropTypes $types): int
    {
        $module = $types->module([SignedIn::class, ...self::pages()]);
        $file = base_path(self::FILE);
        if (!$this->option('check')) {
            is_dir(dirname($file)) || mkdir(dirname($file), 0o775, true);
            file_put_contents($file, $module);
            $this->info('Written: ' . self::FILE);

            return self::SUCCESS;
        }
        if (!is_file($file) || file_get_contents($file) !== $module) {
            $this->error(self::FILE . ' is not what the classes of PHP say. Run: php artisan ispira:types');

            return self::FAILURE;
        }
        $this->info(self::FILE . ' is what the classes of PHP say.');

        return self::SUCCESS;
    }

    /** @return list<class-string<Page>> */
    public static function pages(): array
    {
        $pages = [];
        foreach (['App\\' => app_path(), 'Ispira\\Core\\' => base_path('core')] as $namespace => $folder) {
            foreach (Finder::create()->files()->in($folder)->name('*Page.php') as $file) {
                $class = $namespace . str_replace(['/', '.php'], ['\\', ''], $file->getRelativePathname());
                if (is_subclass_of($class, Page::class) && !(new \ReflectionClass($class))->isAbstract()) {
                    $pages[$class::component()] = $class;
                }
            }
        }
        ksort($pages);

        return array_values($pages);
    }
}

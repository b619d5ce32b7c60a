<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Illuminate\Support\Str;
use Ispira\Core\Device\FamilyRegistry;

/**
 * Writes a family of circuits that works as it is: a motor behind a fuse and a switch, with its words and a test.
 */
final class MakeFamilyCommand extends Command
{
    protected $signature = 'ispira:make-family
        {name : what it is called, as "Bilge pump"}
        {--into=core/Families : folder of its folder}
        {--tests=tests/Core/Family : folder of its test}
        {--namespace=Ispira\\Core\\Families : of the folder}';

    protected $description = 'Write the skeleton of a new family of circuits, with its test';

    public function handle(FamilyRegistry $families): int
    {
        $name = trim((string) $this->argument('name'));
        $class = Str::studly($name);
        $key = Str::kebab($class);
        if (preg_match('/^[A-Z][A-Za-z0-9]*$/', $class) !== 1) {
            $this->error('Name it in letters and spaces, as "Bilge pump".');

            return self::FAILURE;
        }
        $folder = base_path((string) $this->option('into')) . "/$class";
        if ($families->has($key) || file_exists($folder)) {
            $this->error("There is a family \"$key\" already. Nothing was written.");

            return self::FAILURE;
        }
        $words = [
            '{{ namespace }}' => (string) $this->option('namespace'),
            '{{ class }}' => $class,
            '{{ key }}' => $key,
            '{{ name }}' => $name,
        ];
        $test = base_path((string) $this->option('tests')) . "/{$class}Test.php";
        foreach (
            [
                'Family.php' => "$folder/{$class}Family.php",
                'texts.en.json' => "$folder/texts.en.json",
                'Test.php' => $test,
            ]
            as $template => $file
        ) {
            if (!is_dir(dirname($file))) {
                mkdir(dirname($file), 0o777, true);
            }
            $skeleton = (string) file_get_contents(resource_path("skeletons/family/$template.stub"));
            file_put_contents($file, strtr($skeleton, $words));
            $this->line('wrote ' . Str::after($file, base_path() . '/'));
        }
        $this->line('Next: composer dump-autoload, then docs/adding-a-family.md.');

        return self::SUCCESS;
    }
}

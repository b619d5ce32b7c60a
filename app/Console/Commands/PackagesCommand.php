<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\ShippedPackages;
use Illuminate\Console\Command;

final class PackagesCommand extends Command
{
    protected $signature = 'ispira:packages';

    protected $description = 'Write the list of all packages that are shipped (SPDX), and their licences';

    public function handle(): int
    {
        $packages = ShippedPackages::all(base_path());
        file_put_contents(
            base_path('docs/packages.spdx.json'),
            json_encode(
                ShippedPackages::spdx($packages),
                JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
            ) . "\n",
        );
        file_put_contents(base_path('docs/notices.md'), ShippedPackages::notices(base_path(), $packages));
        $this->info(count($packages) . ' packages: docs/packages.spdx.json and docs/notices.md are written.');

        return self::SUCCESS;
    }
}

<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use Illuminate\Console\Command;

final class DemoAccountsCommand extends Command
{
    protected $signature = 'ispira:demo-accounts';

    protected $description = 'Print the accounts of the demo';

    public function handle(): int
    {
        if (!config()->boolean('ispira.demo')) {
            return self::SUCCESS;
        }
        foreach (
            User::query()
                ->where('email', 'like', '%' . User::DEMO)
                ->orderBy('id')
                ->get()
            as $user
        ) {
            $this->line("  $user->email  {$user->role->value}");
        }
        $this->line('  password: ' . config()->string('ispira.demo_password'));

        return self::SUCCESS;
    }
}

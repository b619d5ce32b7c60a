<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use App\Models\Workshop;
use App\People\PasswordRule;
use App\People\Role;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

final class WorkshopCommand extends Command
{
    protected $signature = 'ispira:workshop {name : name of the workshop} {lead : name of its lead} {email : e-mail address of the lead}';

    protected $description = 'Make a workshop and its lead; asks for the password';

    public function handle(): int
    {
        $email = $this->argument('email');
        if (!is_string($email) || filter_var($email, \FILTER_VALIDATE_EMAIL) === false) {
            $this->error('The e-mail address is not valid.');

            return self::FAILURE;
        }
        if (User::query()->where('email', $email)->exists()) {
            $this->error('Somebody signs in with that e-mail address already.');

            return self::FAILURE;
        }
        $password = $this->secret('Password of the lead, at least 12 characters');
        $refusal = PasswordRule::refusal(is_string($password) ? $password : '');
        if ($refusal !== null) {
            $this->error("$refusal Nothing was made.");

            return self::FAILURE;
        }
        DB::transaction(function () use ($email, $password): void {
            $workshop = Workshop::query()->create(['name' => $this->argument('name')]);
            $workshop->users()->create([
                'name' => $this->argument('lead'),
                'email' => $email,
                'password' => $password,
                'role' => Role::Lead,
            ]);
        });
        $this->info('Done. Sign in with that address.');

        return self::SUCCESS;
    }
}

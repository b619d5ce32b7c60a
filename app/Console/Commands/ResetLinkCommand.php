<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use App\People\MakeLink;
use Illuminate\Console\Command;

final class ResetLinkCommand extends Command
{
    protected $signature = 'ispira:reset-link {email : e-mail address of somebody who has an account}';

    protected $description = 'Make a link with which a person sets a new password, where no lead can make one';

    public function handle(MakeLink $links): int
    {
        $person = User::query()->where('email', $this->argument('email'))->first();
        if (!($person instanceof User)) {
            $this->error('Nobody signs in with that e-mail address.');

            return self::FAILURE;
        }
        $link = $links->renew($person, $person);
        $this->line($link->url);
        $this->line("Good once, until $link->expiresAt. Give it to nobody but $person->name.");

        return self::SUCCESS;
    }
}

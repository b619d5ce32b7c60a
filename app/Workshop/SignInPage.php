<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Http\Page;

final readonly class SignInPage extends Page
{
    public function __construct(public ?DemoShown $demo) {}
}

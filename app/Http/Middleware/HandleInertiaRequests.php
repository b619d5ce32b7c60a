<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\SignedIn;
use App\Models\User;
use App\People\Ability;
use Illuminate\Http\Request;
use Inertia\Middleware;

final class HandleInertiaRequests extends Middleware
{
    protected $rootView = 'app';

    /** @return array<string, mixed> */
    public function share(Request $request): array
    {
        // The page that stands in for all others is kept by the device: nobody's name goes into it.
        $user = $request->is('shell') ? null : $request->user();

        return [
            ...parent::share($request),
            'user' =>
                $user instanceof User
                    ? new SignedIn(
                        id: $user->id,
                        name: $user->name,
                        role: $user->role,
                        workshop: $user->workshop->name,
                        currency: $user->workshop->currency,
                        may: array_values(
                            array_filter(Ability::cases(), static fn(Ability $one): bool => $user->may($one)),
                        ),
                        theme: $user->theme,
                        numbers: $user->numbers,
                    )
                    : null,
            'notice' => fn() => $request->session()->get('notice'),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * What is right in a position.
 */
enum PositionKind: string
{
    /** The shaft turns at the speed of this step. */
    case Runs = 'runs';

    /** It stands. */
    case Stands = 'stands';

    /** It goes on to its place of rest and stops there. */
    case Parks = 'parks';

    /** The same, tried from several points of its way: none of them can be its place of rest by chance. */
    case ParksFromAnywhere = 'parks-from-anywhere';

    /** A contactor or a door is driven to its end and stays there. */
    case Holds = 'holds';

    public function parks(): bool
    {
        return $this === self::Parks || $this === self::ParksFromAnywhere;
    }

    /** Key of its words: how often it was tried makes no other answers. */
    public function words(): string
    {
        return $this->parks() ? self::Parks->value : $this->value;
    }
}

<?php

declare(strict_types=1);

namespace App\Bench;

/**
 * A reading that cannot be taken in; the message is for the user.
 */
final class ReadingRefused extends \RuntimeException {}

<?php

declare(strict_types=1);

namespace App\Log;

/**
 * A file that cannot be kept as a photo; the message says why.
 */
final class PhotoRefused extends \RuntimeException {}

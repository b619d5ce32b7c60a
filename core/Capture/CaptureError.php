<?php

declare(strict_types=1);

namespace Ispira\Core\Capture;

/**
 * A file that cannot be taken as a capture; the message says why, and what to do.
 */
final class CaptureError extends \RuntimeException {}

<?php

declare(strict_types=1);

namespace Ispira\Core\Procedure;

/**
 * A step that cannot be done as things stand; the message says why.
 */
final class NotYet extends \RuntimeException {}

<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * A text that is not the value it should be; the message says what to type instead.
 */
final class UnreadableNumber extends \InvalidArgumentException {}

<?php

declare(strict_types=1);

namespace Ispira\Core\Instrument;

/**
 * Something that keeps a meter from being read; the message says what, and what to do.
 */
final class MeterTrouble extends \RuntimeException {}

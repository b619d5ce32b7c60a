<?php

declare(strict_types=1);

namespace App\Operation;

/**
 * Nothing more is stored: the words say which limit is reached.
 */
final class DiskFull extends \RuntimeException {}

<?php

declare(strict_types=1);

namespace App\Operation;

/**
 * An archive is not taken: the words say what is wrong with it, and where.
 */
final class ArchiveRefused extends \RuntimeException {}

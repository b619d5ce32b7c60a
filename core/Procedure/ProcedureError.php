<?php

declare(strict_types=1);

namespace Ispira\Core\Procedure;

/**
 * A text that is no procedure; the message says where and what is wrong.
 */
final class ProcedureError extends \RuntimeException {}

<?php

declare(strict_types=1);

namespace Ispira\Core\Procedure;

/**
 * The procedures that ship: one file each beside this class.
 */
final class ProcedureLibrary
{
    /** @var array<string, Procedure>|null */
    private ?array $all = null;

    /** @return array<string, Procedure> by key */
    public function all(): array
    {
        if ($this->all === null) {
            $this->all = [];
            foreach (glob(__DIR__ . '/shipped/*.json') ?: [] as $file) {
                $procedure = ProcedureFormat::read((string) file_get_contents($file));
                $this->all[$procedure->key] = $procedure;
            }
        }

        return $this->all;
    }
}

<?php

declare(strict_types=1);

namespace App\Jobs;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Inference\LoosePart;

/**
 * The circuit that was built last: one request asks for that of its job several times, from several models.
 */
final class BuiltCircuit
{
    private ?string $built = null;

    private ?CircuitModel $circuit = null;

    public function __construct(private readonly FamilyRegistry $families) {}

    /**
     * @param array<string, mixed> $parameters as they are kept
     * @param string|null          $part       the one on the bench, where the job is about a loose part
     */
    public function of(string $family, array $parameters, ?string $part): CircuitModel
    {
        $wanted = serialize([$family, $parameters, $part]);
        if ($this->circuit === null || $this->built !== $wanted) {
            $kind = $this->families->get($family);
            $circuit = $kind->circuit($kind->parameters()->read($parameters));
            $this->circuit = $part === null ? $circuit : LoosePart::of($circuit, $part);
            $this->built = $wanted;
        }

        return $this->circuit;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Family\AirDoor;

use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Family\CauseCheck;
use Ispira\Core\Family\Fault;
use Ispira\Core\Family\Observation;
use Ispira\Core\Family\Part;
use Ispira\Core\Family\Position;
use Ispira\Core\Family\SetUp;
use Ispira\Core\Family\Sheet;
use Ispira\Core\Family\Test;
use Ispira\Core\Family\Unknown;

/**
 * What a way of moving air doors declares.
 */
interface Layout
{
    public function netlist(): Netlist;

    /** Element parameter that is the supply: battery volts, or vacuum of the engine. */
    public function supply(): string;

    /** @return list<Unknown> */
    public function unknowns(): array;

    /**
     * @param array<string, float> $u values of the unknowns
     *
     * @return array<string, float> element parameters
     */
    public function assign(array $u): array;

    /** @return list<Position> */
    public function positions(): array;

    /** @return list<SetUp> */
    public function setUps(): array;

    /** @return list<Test> */
    public function tests(): array;

    /** @return list<Observation> */
    public function observations(): array;

    /** @return list<Fault> */
    public function faults(): array;

    /** @return list<Part> */
    public function parts(): array;

    /** @return list<CauseCheck> */
    public function causeChecks(): array;

    /** @return array<string, float> minutes by place */
    public function accessMinutes(): array;

    public function sheet(): Sheet;
}

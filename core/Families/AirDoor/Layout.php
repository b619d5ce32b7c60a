<?php

declare(strict_types=1);

namespace Ispira\Core\Families\AirDoor;

use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\Conductor;
use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\Safety;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Unknown;

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

    /** @return list<Conductor> */
    public function conductors(): array;

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

    public function safety(): Safety;
}

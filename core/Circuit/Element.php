<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * One two-terminal element between two named nodes.
 *
 * Positive current flows through the element from `from` to `to`; for a source
 * `from` is the plus terminal, so a source that delivers has a negative current.
 */
final readonly class Element
{
    /** Resistance in ohms at and above which a branch counts as open. */
    public const OPEN_OHMS = 1e10;

    /**
     * @param array<string, float> $parameters values by name, in SI units
     * @param string|null          $coil       for a relay contact: the id of the coil that moves it
     * @param float                $restOhms   relay contact resistance while its coil is not energised
     * @param float                $workOhms   relay contact resistance while its coil is energised
     * @param string|null          $partner    the element it works with: a winding's motor, a compound motor's shunt, a
     *     module output's input
     * @param array<string, float> $inputs  for a motor with electronics: the programmed torque over rated, by the id of
     *     its input
     * @param Control|null         $control    for a control input: what it does with the signal
     */
    private function __construct(
        public string $id,
        public ElementType $type,
        public string $from,
        public string $to,
        public array $parameters,
        public ?string $coil = null,
        public float $restOhms = self::OPEN_OHMS,
        public float $workOhms = 0.0,
        public ?string $partner = null,
        public ?Control $control = null,
        public array $inputs = [],
    ) {
        if ($id === '' || $from === '' || $to === '') {
            throw CircuitError::malformed('Every element needs an id and two node names that are not empty.');
        }
        foreach ($parameters as $name => $value) {
            if (!is_finite($value)) {
                throw CircuitError::badValue($id, $name, 'a finite number');
            }
            if ($value < 0.0 && !\in_array($name, ['volts', 'reactance', 'offset'], true)) {
                throw CircuitError::badValue($id, $name, 'zero or more');
            }
        }
    }

    /**
     * The same with values that one of its parameters takes in positions of a control; a machine has its own.
     *
     * @param array<string, float> $levels by name
     */
    public function offering(array $levels): self
    {
        return new self(
            $this->id,
            $this->type,
            $this->from,
            $this->to,
            $this->parameters + $levels,
            $this->coil,
            $this->restOhms,
            $this->workOhms,
            $this->partner,
            $this->control,
            $this->inputs,
        );
    }

    /** @param float $ohms resistance, 0 or more */
    public static function resistor(string $id, string $from, string $to, float $ohms): self
    {
        return new self($id, ElementType::Resistor, $from, $to, ['ohms' => $ohms]);
    }

    /**
     * @param float $volts electromotive force, plus at `$plus`
     * @param float $ohms  internal resistance, 0 for an ideal source
     */
    public static function source(string $id, string $plus, string $minus, float $volts, float $ohms = 0.0): self
    {
        return new self($id, ElementType::Source, $plus, $minus, ['volts' => $volts, 'ohms' => $ohms]);
    }

    /** @param float $closedOhms resistance of the contact when it is closed */
    public static function switch(string $id, string $from, string $to, bool $closed, float $closedOhms = 0.0): self
    {
        return new self($id, ElementType::Switch, $from, $to, ['ohms' => $closed ? $closedOhms : self::OPEN_OHMS]);
    }

    /** A relay contact that closes when the coil named `$coil` pulls in. */
    public static function workContact(string $id, string $from, string $to, string $coil, float $closedOhms): self
    {
        return new self(
            $id,
            ElementType::Switch,
            $from,
            $to,
            ['ohms' => self::OPEN_OHMS],
            $coil,
            self::OPEN_OHMS,
            $closedOhms,
        );
    }

    /** A relay contact that opens when the coil named `$coil` pulls in. */
    public static function restContact(string $id, string $from, string $to, string $coil, float $closedOhms): self
    {
        return new self(
            $id,
            ElementType::Switch,
            $from,
            $to,
            ['ohms' => $closedOhms],
            $coil,
            $closedOhms,
            self::OPEN_OHMS,
        );
    }

    /**
     * @param float $pullInVolts  voltage at which the resting relay moves
     * @param float $dropOutVolts voltage under which the working relay falls back, not above `$pullInVolts`
     */
    public static function coil(
        string $id,
        string $from,
        string $to,
        float $ohms,
        float $pullInVolts,
        float $dropOutVolts,
    ): self {
        if ($dropOutVolts > $pullInVolts) {
            throw CircuitError::badValue($id, 'dropOutVolts', 'no more than pullInVolts');
        }

        return new self($id, ElementType::Coil, $from, $to, [
            'ohms' => $ohms,
            'pullInVolts' => $pullInVolts,
            'dropOutVolts' => $dropOutVolts,
        ]);
    }

    public static function motor(string $id, string $plus, string $minus, BrushedMotor $motor): self
    {
        return new self($id, ElementType::Motor, $plus, $minus, $motor->parameters());
    }

    /**
     * A winding on the shaft of a motor, such as that of a third brush.
     *
     * @param float $emfConstant in V·s/rad, as the motor's own
     */
    public static function winding(
        string $id,
        string $plus,
        string $minus,
        float $ohms,
        float $emfConstant,
        string $motor,
    ): self {
        return new self(
            $id,
            ElementType::Winding,
            $plus,
            $minus,
            ['ohms' => $ohms, 'emfConstant' => $emfConstant],
            partner: $motor,
        );
    }

    /** @param string $shunt id of the element whose current makes the other part of the field */
    public static function compoundMotor(
        string $id,
        string $plus,
        string $minus,
        CompoundMotor $motor,
        string $shunt,
    ): self {
        return new self($id, ElementType::CompoundMotor, $plus, $minus, $motor->parameters(), partner: $shunt);
    }

    /** The supply side of a speed module. */
    public static function moduleInput(string $id, string $plus, string $minus): self
    {
        return new self($id, ElementType::ModuleInput, $plus, $minus, ['ohms' => 1e-3]);
    }

    /** @param string $input id of its supply side */
    public static function moduleOutput(
        string $id,
        string $plus,
        string $minus,
        SpeedModule $module,
        string $input,
    ): self {
        return new self($id, ElementType::ModuleOutput, $plus, $minus, $module->parameters(), partner: $input);
    }

    /**
     * Its signal counts times a gain and with an offset, as shares of the control's reference: inputs differ.
     *
     * @param float $ohms what the input loads the signal with
     */
    public static function controlInput(string $id, string $plus, string $minus, float $ohms, Control $control): self
    {
        return new self(
            $id,
            ElementType::ControlInput,
            $plus,
            $minus,
            ['ohms' => $ohms, 'gain' => 1.0, 'offset' => 0.0],
            control: $control,
        );
    }

    /**
     * @param float $volts effective value at no load
     * @param float $ohms  internal resistance, above zero
     */
    public static function alternatingSource(string $id, string $plus, string $minus, float $volts, float $ohms): self
    {
        return new self($id, ElementType::AlternatingSource, $plus, $minus, ['volts' => $volts, 'ohms' => $ohms]);
    }

    /** @param float $reactance in Ω at the line frequency: above zero for a coil, below for a capacitor */
    public static function impedance(string $id, string $from, string $to, float $ohms, float $reactance): self
    {
        return new self($id, ElementType::Impedance, $from, $to, ['ohms' => $ohms, 'reactance' => $reactance]);
    }

    public static function contactor(string $id, string $from, string $to, Contactor $contactor): self
    {
        return new self($id, ElementType::Contactor, $from, $to, $contactor->parameters());
    }

    /**
     * @param float $hertz    line frequency
     * @param float $ohms     in series with it: lead, plug
     * @param float $leakOhms across it
     */
    public static function capacitor(
        string $id,
        string $from,
        string $to,
        float $microfarads,
        float $hertz,
        float $ohms = 0.1,
        float $leakOhms = self::OPEN_OHMS,
    ): self {
        return new self($id, ElementType::Capacitor, $from, $to, [
            'ohms' => $ohms,
            'microfarads' => $microfarads,
            'leakOhms' => $leakOhms,
            'hertz' => $hertz,
        ]);
    }

    public static function inductionMotor(string $id, string $from, string $to, InductionMotor $motor): self
    {
        return new self($id, ElementType::InductionMotor, $from, $to, $motor->parameters());
    }

    /** @param float $turns over those of the motor's first section */
    public static function mainWinding(
        string $id,
        string $from,
        string $to,
        float $ohms,
        float $reactance,
        float $turns,
        string $motor,
    ): self {
        return new self(
            $id,
            ElementType::MainWinding,
            $from,
            $to,
            ['ohms' => $ohms, 'reactance' => $reactance, 'turns' => $turns],
            partner: $motor,
        );
    }

    /** @param float $turns over those of the motor's first section */
    public static function auxiliaryWinding(
        string $id,
        string $from,
        string $to,
        float $ohms,
        float $reactance,
        float $turns,
        string $motor,
    ): self {
        return new self(
            $id,
            ElementType::AuxiliaryWinding,
            $from,
            $to,
            ['ohms' => $ohms, 'reactance' => $reactance, 'turns' => $turns],
            partner: $motor,
        );
    }

    /** @param array<string, float> $inputs programmed torque over rated, by the id of the input */
    public static function electronicMotor(
        string $id,
        string $line,
        string $neutral,
        ElectronicMotor $motor,
        array $inputs,
    ): self {
        return new self($id, ElementType::ElectronicMotor, $line, $neutral, $motor->parameters(), inputs: $inputs);
    }
}

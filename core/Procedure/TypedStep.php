<?php

declare(strict_types=1);

namespace Ispira\Core\Procedure;

/**
 * One step as a person writes it. What is empty is not there.
 */
final readonly class TypedStep
{
    /**
     * @param string $cautions one a line
     * @param string $least    time that has to pass, as "4:30", "90 s" or "5 min"
     * @param string $most     time after which it has gone wrong
     * @param bool   $charge   whether the wait grows with a capacitor that is told
     */
    public function __construct(
        public string $text,
        public string $cautions,
        public string $least,
        public string $most,
        public string $reason,
        public bool $charge,
        public string $expect,
        public string $otherwise,
        public string $confirm,
    ) {}

    public static function of(Step $step): self
    {
        $wait = $step->wait;

        return new self(
            $step->text,
            implode("\n", $step->cautions),
            $wait === null ? '' : Run::clock($wait->least),
            $wait?->most === null ? '' : Run::clock($wait->most),
            $wait->reason ?? '',
            $wait?->formula === StoredCharge::FORMULA,
            $step->expect ?? '',
            $step->otherwise ?? '',
            $step->confirm ?? '',
        );
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Instrument;

/**
 * Answers SCPI commands as a bench meter does; what it measures comes from outside.
 */
final class SimulatedMeter
{
    private MeterFunction $function;

    /** @var list<string> */
    private array $errors = [];

    /**
     * @param \Closure(MeterFunction): ?float $measure in SI units, null for over-range
     * @param MeterFunction|null              $stuck   function at which its dial stands, whatever is asked
     */
    public function __construct(private readonly \Closure $measure, private readonly ?MeterFunction $stuck = null)
    {
        $this->function = $stuck ?? MeterFunction::VoltsDc;
    }

    /**
     * @param string $line one line: commands with semicolons between
     *
     * @return string|null what it answers, null for commands that ask nothing
     */
    public function answer(string $line): ?string
    {
        $answers = [];
        foreach (explode(';', $line) as $command) {
            $answer = $this->one(ltrim(trim($command), ':'));
            if ($answer !== null) {
                $answers[] = $answer;
            }
        }

        return $answers === [] ? null : implode(';', $answers);
    }

    private function one(string $command): ?string
    {
        $header = strtoupper(explode(' ', $command)[0]);
        if (preg_match('/^(CONF|CONFIGURE|MEAS|MEASURE):(.+?)(\?)?$/', $header, $found) === 1) {
            return $this->configured(
                $found[2],
                $found[1][0] === 'M' && ($found[3] ?? '') === '?',
                $found[1][0] === 'C' && !isset($found[3]),
            );
        }

        return match ($header) {
            '' => null,
            '*IDN?' => 'ISPIRA,SIMULATED BENCH METER,0,1',
            'READ?', 'FETC?', 'FETCH?' => $this->measured(),
            'FUNC?', 'FUNCTION?', 'SENS:FUNC?' => '"' . $this->function->value . '"',
            'SYST:ERR?', 'SYSTEM:ERROR?' => array_shift($this->errors) ?? '+0,"No error"',
            '*CLS', '*RST' => $this->cleared(),
            '*OPC?' => '1',
            default => $this->failed('-113,"Undefined header"'),
        };
    }

    private function configured(string $name, bool $measures, bool $configures): ?string
    {
        $function = $measures || $configures ? MeterFunction::named($name) : null;
        if ($function === null) {
            return $this->failed('-113,"Undefined header"');
        }
        if ($this->stuck !== null && $function !== $this->stuck) {
            return $this->failed('-221,"Settings conflict; dial at ' . $this->stuck->label() . '"');
        }
        $this->function = $function;

        return $measures ? $this->measured() : null;
    }

    private function measured(): string
    {
        $number = ($this->measure)($this->function);

        return $number === null ? '+9.90000000E+37' : self::written($number);
    }

    /** With two digits of exponent, as meters write it. */
    private static function written(float $number): string
    {
        [$digits, $exponent] = explode('E', \sprintf('%+.8E', $number));

        return \sprintf('%sE%s%02d', $digits, $exponent[0], substr($exponent, 1));
    }

    private function cleared(): null
    {
        $this->errors = [];

        return null;
    }

    private function failed(string $error): null
    {
        $this->errors[] = $error;

        return null;
    }
}

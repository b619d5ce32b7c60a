<?php

declare(strict_types=1);

namespace App\Instruments;

use Ispira\Core\Instrument\Meter;
use Ispira\Core\Instrument\MeterFunction;
use Ispira\Core\Instrument\MeterTrouble;
use Ispira\Core\Instrument\ScpiReply;

/**
 * A bench meter that speaks SCPI over TCP, one connection for each visit.
 */
final class ScpiMeter implements Meter
{
    private const CONNECT_SECONDS = 1.0;

    /** The whole visit, however slowly a meter answers: no longer may it keep anybody waiting. */
    private const VISIT_SECONDS = 4.5;
    private const MOST_BYTES = 4096;

    /** @var resource|null */
    private $stream;

    /** Moment at which the visit ends, in seconds of the monotonic clock. */
    private float $ends = 0.0;

    public function __construct(private readonly string $host, private readonly int $port) {}

    public function __destruct()
    {
        $this->close();
    }

    public function identity(): string
    {
        return ScpiReply::identity($this->ask('*IDN?'));
    }

    public function read(MeterFunction $function, float $range, int $times): array
    {
        $this->tell('*CLS');
        $this->tell("CONF:$function->value" . ($range > 0.0 ? ' ' . $range : ''));
        $error = ScpiReply::error($this->ask('SYST:ERR?'));
        $stands = MeterFunction::named($this->ask('FUNC?'));
        if ($stands !== $function) {
            throw new MeterTrouble(
                'The meter stands on ' .
                    ($stands?->label() ?? 'another function') .
                    " and this test needs {$function->label()}: turn its dial." .
                    ($error === null ? '' : " It says: $error."),
            );
        }
        if ($error !== null) {
            throw new MeterTrouble("The meter refused {$function->label()}: $error.");
        }
        $samples = [$this->sample($function)];
        while (count($samples) < $times) {
            $samples[] = $this->sample($function);
        }
        $this->close();

        return $samples;
    }

    /** @throws MeterTrouble */
    private function sample(MeterFunction $function): ?float
    {
        $number = ScpiReply::number($this->ask('READ?'));

        return $number === null ? null : $number * $function->toBase();
    }

    /** @throws MeterTrouble */
    private function ask(string $command): string
    {
        $stream = $this->tell($command);
        $answer = '';
        while (!str_ends_with($answer, "\n")) {
            $left = $this->left();
            $read = [$stream];
            $write = $except = null;
            $ready = @stream_select($read, $write, $except, (int) $left, (int) (fmod($left, 1.0) * 1e6));
            $heard = $ready === 1 ? fread($stream, self::MOST_BYTES) : false;
            if ($heard === false || $heard === '' || strlen($answer .= $heard) > self::MOST_BYTES) {
                throw $this->trouble();
            }
        }

        return $answer;
    }

    /**
     * @return resource
     *
     * @throws MeterTrouble
     */
    private function tell(string $command)
    {
        $stream = $this->connected();
        if (@fwrite($stream, "$command\n") === false) {
            throw $this->trouble();
        }

        return $stream;
    }

    /**
     * @return resource
     *
     * @throws MeterTrouble
     */
    private function connected()
    {
        if ($this->stream !== null) {
            return $this->stream;
        }
        $this->ends = self::now() + self::VISIT_SECONDS;
        // Looked up once, and gone to where that was: a name that changes in between leads nowhere else.
        $address = WorkshopNetwork::address($this->host) ?? throw $this->trouble();
        $host = str_contains($address, ':') ? "[$address]" : $address;
        $stream = @stream_socket_client("tcp://$host:$this->port", $code, $message, self::CONNECT_SECONDS);
        if ($stream === false) {
            throw $this->trouble();
        }
        stream_set_blocking($stream, false);

        return $this->stream = $stream;
    }

    /** @throws MeterTrouble when there is no time left */
    private function left(): float
    {
        $left = $this->ends - self::now();

        return $left > 0.0 ? $left : throw $this->trouble();
    }

    private static function now(): float
    {
        return hrtime(true) / 1e9;
    }

    /** One answer for all that goes wrong out there: what else listens on a network is nobody's business. */
    private function trouble(): MeterTrouble
    {
        $this->close();

        return new MeterTrouble(
            "The meter at $this->host:$this->port cannot be reached or does not answer: is it on, is its cable in, is " .
                'it busy or locked to its front panel?',
        );
    }

    private function close(): void
    {
        if (is_resource($this->stream)) {
            fclose($this->stream);
        }
        $this->stream = null;
    }
}

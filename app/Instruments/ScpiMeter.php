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
    private const ANSWER_SECONDS = 3;
    private const MOST_BYTES = 4096;

    /** @var resource|null */
    private $stream;

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
        $answer = fgets($stream, self::MOST_BYTES);
        if ($answer === false || !str_ends_with($answer, "\n")) {
            $silent = stream_get_meta_data($stream)['timed_out'];
            $this->close();
            throw new MeterTrouble(
                $silent
                    ? $this->at('is connected but does not answer: is it busy, or locked to its front panel?')
                    : $this->at('broke the connection off.'),
            );
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
            $this->close();
            throw new MeterTrouble($this->at('broke the connection off.'));
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
        $stream = @stream_socket_client("tcp://$this->host:$this->port", $code, $message, self::CONNECT_SECONDS);
        if ($stream === false) {
            throw new MeterTrouble($this->at('cannot be reached: is it on, and is its cable in?'));
        }
        stream_set_timeout($stream, self::ANSWER_SECONDS);

        return $this->stream = $stream;
    }

    private function close(): void
    {
        if (is_resource($this->stream)) {
            fclose($this->stream);
        }
        $this->stream = null;
    }

    private function at(string $trouble): string
    {
        return "The meter at $this->host:$this->port $trouble";
    }
}

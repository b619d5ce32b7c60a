<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * Something worth doing: a set-up and a probe, with what it takes.
 */
final readonly class Test
{
    /** What a person does in it. */
    public Contact $contact;

    /**
     * @param string       $key      probe name and set-up, as "motor-volts@3"
     * @param string       $text     key of its words
     * @param list<string> $access   what must be reached first; its minutes count once a job
     * @param float        $minutes  of work once everything is reached
     * @param list<string> $cautions keys of cautions of its own, besides those that follow from its set-up
     * @param list<string> $tools    keys of the tools needed
     * @param array<string, string> $words values for the placeholders of its words
     * @param bool         $repeatable whether doing it again can show what it did not the first time
     * @param bool         $offered  false for what only the speed map asks
     * @param bool         $asked    whether it is asked with the complaint, before any work
     * @param Trap|null    $trap     how a good reading of it misleads
     * @param Contact|null $contact  what a person does in it; null for what is usual with its quantity
     * @param bool         $possible false where this circuit does not allow it: only readings that were taken stand
     * @param PlateRange|null $plate what the machine's plate calls right, where a plate decides
     */
    public function __construct(
        public string $key,
        public string $text,
        public string $setUp,
        public Probe $probe,
        public float $minutes,
        public array $access = [],
        public array $cautions = [],
        public array $tools = [],
        public array $words = [],
        public bool $offered = true,
        public bool $repeatable = false,
        public bool $asked = false,
        public ?Trap $trap = null,
        ?Contact $contact = null,
        public bool $possible = true,
        public ?PlateRange $plate = null,
    ) {
        $this->contact = $contact ?? Contact::usual($probe->quantity);
    }

    /** The same in another set-up, with the leads elsewhere. */
    public function doneIn(string $setUp, Probe $probe): self
    {
        return new self(
            $this->key,
            $this->text,
            $setUp,
            $probe,
            $this->minutes,
            $this->access,
            $this->cautions,
            $this->tools,
            $this->words,
            $this->offered,
            $this->repeatable,
            $this->asked,
            $this->trap,
            $this->contact,
            $this->possible,
            $this->plate,
        );
    }

    /** Its key without the position in which it is read. */
    public function name(): string
    {
        return self::nameIn($this->key);
    }

    public static function nameIn(string $key): string
    {
        return explode('@', $key)[0];
    }
}

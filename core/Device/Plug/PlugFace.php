<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Plug;

/**
 * A plug as it is drawn: its pins in rows.
 *
 * Where the pins are numbered they stand by their numbers; otherwise in the order in which they were told, which need not
 * be that of the plug.
 */
final readonly class PlugFace
{
    /** Pins in one row; more stand in two. */
    private const ONE_ROW = 6;

    /** More pins than that are no plug that anybody describes pin by pin. */
    private const MOST = 40;

    /**
     * @param list<PlugPin> $pins
     * @param bool|null     $sockets whether it has sockets and no pins; null where nobody has looked
     * @param string|null   $key     what keeps it from going in the wrong way
     * @param bool          $numbered whether the pins stand by their numbers
     */
    private function __construct(
        public string $title,
        public array $pins,
        public int $rows,
        public int $columns,
        public ?bool $sockets,
        public ?string $key,
        public bool $numbered,
    ) {}

    /**
     * Null where there is nothing to draw.
     *
     * @param list<PlugPin> $pins  in any order
     * @param int           $count how many pins the plug has, where that is known
     */
    public static function of(
        string $title,
        array $pins,
        int $count = 0,
        ?bool $sockets = null,
        ?string $key = null,
    ): ?self {
        $byNumber = [];
        foreach ($pins as $pin) {
            if (preg_match('/^[1-9]\d?$/', $pin->label) === 1) {
                $byNumber[(int) $pin->label] = $pin;
            }
        }
        $numbered = \count($byNumber) === \count($pins);
        if ($numbered) {
            // A number that nobody has told is a pin all the same.
            $pins = [];
            for ($number = 1, $last = max([0, ...array_keys($byNumber), $count]); $number <= $last; ++$number) {
                $pins[] = $byNumber[$number] ?? new PlugPin((string) $number, '');
            }
        }
        $pins = \array_slice($pins, 0, self::MOST);
        if ($pins === []) {
            return null;
        }
        $rows = \count($pins) > self::ONE_ROW ? 2 : 1;
        $columns = (int) ceil(\count($pins) / $rows);
        $placed = [];
        foreach ($pins as $number => $pin) {
            $placed[] = $pin->at(intdiv($number, $columns), $number % $columns);
        }

        return new self($title, $placed, $rows, $columns, $sockets, $key, $numbered);
    }
}

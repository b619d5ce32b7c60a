<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Kernel\NumberReader;
use Ispira\Core\Kernel\UnreadableNumber;

/**
 * What a person asks of the ways to cure a job, as it was typed.
 */
final readonly class RemedyAsked
{
    private const MOST_MONEY = 1e6;

    /**
     * @param string $standing money that an hour of standing still costs
     * @param bool   $potted   whether the module is potted, so that only as a whole it is exchanged
     * @param string $tool     key of one whose worth is asked
     * @param string $price    of the tool
     * @param string $saving   of the tool on a job, where it is not what was worked out
     * @param string $perYear  how many such jobs there are in a year
     */
    public function __construct(
        public string $standing = '',
        public bool $potted = false,
        public string $tool = '',
        public string $price = '',
        public string $saving = '',
        public string $perYear = '',
    ) {}

    /** An amount that was typed; null for none, and for what cannot be read. */
    public static function money(string $given): ?float
    {
        if ($given === '') {
            return null;
        }
        try {
            return max(0.0, min(self::MOST_MONEY, NumberReader::read($given, '')));
        } catch (UnreadableNumber) {
            return null;
        }
    }
}

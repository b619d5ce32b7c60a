<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Ledger;

use Ispira\Core\Repair\Work\JobOutcome;

/**
 * What can be noted between the verdict and the closed job.
 *
 * The fields of each: "text", "text?" (may stay empty), "count", "count?", "number", "number?", "flag", "day?",
 * "map" (attribute to value), "list" (texts), "switches" (0 and 1), or the answers that it takes.
 */
enum EntryKind: string
{
    case Choice = 'choice';
    case Fit = 'fit';
    case Found = 'found';
    case Kit = 'kit';
    case KitReady = 'kit-ready';
    case Down = 'down';
    case Up = 'up';
    case Method = 'method';
    case Wire = 'wire';
    case WireMoved = 'wire-moved';
    case WireChecked = 'wire-checked';
    case Switches = 'switches';
    case SwitchesSet = 'switches-set';
    case Plug = 'plug';
    case Measured = 'measured';
    case Adjusted = 'adjusted';
    case Closed = 'closed';
    case Held = 'held';
    case Loan = 'loan';
    case Returned = 'returned';
    case Removed = 'removed';
    case Settled = 'settled';
    case Also = 'also';
    case Cannot = 'cannot';
    case Planned = 'planned';
    case Quote = 'quote';
    case OtherCircuit = 'other-circuit';
    case Ordered = 'ordered';
    case Arrived = 'arrived';
    case HandedOver = 'handed-over';
    case Corrected = 'corrected';
    case Reopened = 'reopened';
    case Lesson = 'lesson';

    /** Those that are noted as they are; the others are worked out by pages of their own. */
    public const PLAIN = [
        self::Found,
        self::Kit,
        self::KitReady,
        self::Down,
        self::Up,
        self::Method,
        self::Wire,
        self::WireMoved,
        self::WireChecked,
        self::Switches,
        self::SwitchesSet,
        self::Plug,
        self::Adjusted,
        self::Loan,
        self::Returned,
        self::Removed,
        self::Settled,
        self::Quote,
        self::Also,
        self::Cannot,
        self::Ordered,
        self::Arrived,
    ];

    /** @return array<string, string|list<string>> */
    public function fields(): array
    {
        return match ($this) {
            self::Choice => [
                'option' => 'text',
                'label' => 'text',
                'parts' => 'list',
                'kind' => 'text',
                'purchase' => 'number',
                'selling' => 'number?',
                'minutes' => 'number',
                'leadDays' => 'count?',
                'warrantyMonths' => 'count',
                'partNumber' => 'text?',
                'expected' => 'number',
                'reason' => 'text',
                'lasting' => 'text?',
            ],
            self::Fit => [
                'when' => ['purchase', 'beside'],
                'type' => 'text',
                'candidate' => 'text',
                'old' => 'map',
                'new' => 'map',
                'accepted' => 'flag',
                'reason' => 'text?',
            ],
            self::Found => [
                'what' => 'text',
                'condition' => ['missing', 'stripped', 'pried', 'swapped', 'not-original', 'damaged'],
                'count' => 'count?',
                'note' => 'text?',
                'photo' => 'text?',
            ],
            self::Kit => ['sort' => ['tool', 'consumable', 'carry-over', 'restore'], 'what' => 'text'],
            self::KitReady, self::Returned, self::Arrived, self::WireMoved, self::WireChecked => [
                'of' => 'text',
                'note' => 'text?',
            ],
            self::Down => [
                'what' => 'text',
                'fastener' => 'text?',
                'length' => 'text?',
                'count' => 'count',
                'where' => 'text?',
                'clip' => 'text?',
                'irreversible' => 'flag',
                'behind' => 'text?',
                'alternative' => 'text?',
                'alternativeMinutes' => 'number?',
                'confirmed' => 'flag',
                'photo' => 'text?',
            ],
            self::Up => ['of' => 'text', 'count' => 'count', 'reason' => 'text?'],
            self::Method => ['method' => ['one-at-a-time', 'photo-and-tags'], 'photo' => 'text?'],
            self::Wire => [
                'function' => 'text',
                'from' => 'text',
                'to' => 'text',
                'colour' => 'text',
                'label' => 'text?',
            ],
            self::Switches => ['name' => 'text', 'old' => 'switches', 'photo' => 'text?'],
            self::SwitchesSet => ['of' => 'text', 'new' => 'switches', 'reason' => 'text?'],
            self::Plug => ['what' => 'text', 'latched' => 'flag', 'locked' => 'flag', 'reason' => 'text?'],
            self::Measured => [
                'test' => 'text',
                'number' => 'number?',
                'answer' => 'text?',
                'right' => 'flag',
                'expected' => 'text',
                'reason' => 'text?',
            ],
            self::Adjusted => [
                'of' => 'text?',
                'what' => 'text',
                'before' => 'text',
                'after' => 'text',
                'undoOn' => 'day?',
            ],
            self::Closed => [
                'outcome' => array_column(JobOutcome::cases(), 'value'),
                'reason' => 'text?',
                'dueOn' => 'day?',
                'who' => 'text?',
                'leftOut' => 'list',
                'countersign' => 'flag',
            ],
            self::Held => ['replacement' => 'text', 'held' => 'flag', 'because' => 'text?'],
            self::Lesson => ['replacement' => 'text', 'lesson' => 'text'],
            self::Loan => ['what' => 'text', 'to' => 'text', 'dueOn' => 'day'],
            self::Removed => ['of' => 'text', 'reason' => 'text?'],
            self::OtherCircuit => ['from' => 'text', 'to' => 'text', 'reason' => 'text?', 'setAside' => 'list'],
            self::Quote => [
                'option' => 'text',
                'price' => 'number?',
                'minutes' => 'number?',
                'leadDays' => 'count?',
                'notToBeHad' => 'flag',
                'source' => 'text?',
            ],
            self::Also => ['what' => 'text'],
            self::Ordered => [
                'what' => 'text',
                'partNumber' => 'text?',
                'source' => 'text?',
                'expectedOn' => 'day',
                'price' => 'number?',
            ],
            self::HandedOver => ['from' => 'text', 'to' => 'text', 'note' => 'text'],
            self::Corrected => ['old' => 'map', 'new' => 'map', 'reason' => 'text?'],
            self::Reopened => ['cameBack' => 'flag', 'reason' => 'text'],
            self::Cannot => [
                'test' => 'text',
                'because' => ['tool', 'access', 'unsafe', 'customer'],
                'note' => 'text?',
            ],
            self::Planned => ['planner' => 'text', 'values' => 'map', 'said' => 'list'],
            self::Settled => ['of' => 'text', 'aspect' => 'text', 'who' => 'text', 'how' => 'text'],
        };
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Fit;

use Ispira\Core\Kernel\NumberReader;
use Ispira\Core\Kernel\UnreadableNumber;

/**
 * Compares an old part with a candidate, attribute by attribute.
 */
final class FitCheck
{
    private function __construct() {}

    /**
     * @param array<string, string> $old what is known of the old part, by {@see FitAttribute}
     * @param array<string, string> $new
     *
     * @return list<FitFinding> one for each attribute of the type of part
     */
    public static function compare(PartType $type, array $old, array $new): array
    {
        return array_map(static function (FitAttribute $attribute) use ($type, $old, $new): FitFinding {
            [$was, $is] = [trim($old[$attribute->value] ?? ''), trim($new[$attribute->value] ?? '')];
            if ($attribute === FitAttribute::Brings) {
                return self::brought($is);
            }
            [$verdict, $how] = match (true) {
                $was === '' && $is === '' => [FitVerdict::Unknown, 'Not known of either: look before it is bought.'],
                $was === '' => [FitVerdict::Unknown, 'Not known of the old part: find it before the strip-down.'],
                $is === '' => [FitVerdict::Unknown, 'Not known of the candidate: ask the seller.'],
                $attribute->isNumber() => self::numbers($type, $attribute, $was, $is),
                default => self::words($attribute, $was, $is),
            };

            return $verdict === FitVerdict::Wrong
                ? self::bridged($attribute, $how, trim($new[FitAttribute::Brings->value] ?? ''))
                : new FitFinding($attribute, $verdict, $how);
        }, $type->attributes());
    }

    /** What lies in the box of the candidate needs nothing of the old part. */
    private static function brought(string $is): FitFinding
    {
        return match ($is) {
            '', 'nothing' => new FitFinding(FitAttribute::Brings, FitVerdict::Same, ''),
            default => new FitFinding(
                FitAttribute::Brings,
                FitVerdict::Compatible,
                'See that all of it is in the box before the old part comes out.',
            ),
        };
    }

    /** Another plug is no other part where its harness comes with it. */
    private static function bridged(FitAttribute $attribute, string $how, string $brings): FitFinding
    {
        $plug = \in_array($attribute, [FitAttribute::Pins, FitAttribute::ConnectorKey], true);

        return $plug && \in_array($brings, ['harness', 'both'], true)
            ? new FitFinding(
                $attribute,
                FitVerdict::Adapt,
                'Another plug, and it comes with a harness: join it wire by wire by what each does, with splices rated ' .
                    'for the fuse.',
            )
            : new FitFinding($attribute, FitVerdict::Wrong, $how);
    }

    /** @param list<FitFinding> $findings */
    public static function worst(array $findings): FitVerdict
    {
        $worst = FitVerdict::Same;
        foreach ($findings as $finding) {
            if ($finding->verdict->rank() > $worst->rank()) {
                $worst = $finding->verdict;
            }
        }

        return $worst;
    }

    /** @return array{0: FitVerdict, 1: string} */
    private static function numbers(PartType $type, FitAttribute $attribute, string $old, string $new): array
    {
        try {
            [$was, $is] = [self::number($attribute, $old), self::number($attribute, $new)];
        } catch (UnreadableNumber $error) {
            return [FitVerdict::Unknown, $error->getMessage()];
        }
        if ($was === $is) {
            return [FitVerdict::Same, ''];
        }
        $more = $is - $was;
        $share = $was === 0.0 ? \INF : $more / $was;
        $by = self::shown(abs($more)) . ' ' . $attribute->unit();

        return match ($attribute) {
            FitAttribute::Voltage, FitAttribute::CoilVolts => abs($share) <= 0.05
                ? [FitVerdict::Compatible, 'Within 5 % of the old rating.']
                : [FitVerdict::Wrong, 'Made for another voltage.'],
            FitAttribute::ControlHertz => abs($share) <= 0.1
                ? [FitVerdict::Compatible, '']
                : [FitVerdict::Wrong, 'The command comes at another frequency: it may read it wrongly.'],
            FitAttribute::Depth => match (true) {
                abs($more) <= 0.5 => [FitVerdict::Same, ''],
                $more < 0.0 => [
                    FitVerdict::Compatible,
                    "Shallower by $by: see that the wheel still stands in its inlet.",
                ],
                default => [
                    FitVerdict::Wrong,
                    "Deeper by $by. It goes in only if that much room is behind it: measure before anything is stripped.",
                ],
            },
            FitAttribute::BodyDiameter => match (true) {
                abs($more) <= 0.5 => [FitVerdict::Same, ''],
                $more < 0.0 => [
                    FitVerdict::Adapt,
                    "Thinner by $by: a band, sleeve or grommets of the right thickness.",
                ],
                default => [FitVerdict::Wrong, "Thicker by $by: it does not go into its seat."],
            },
            FitAttribute::ShaftDiameter => match (true) {
                abs($more) <= 0.03 => [FitVerdict::Same, ''],
                $more < 0.0 && $more >= -4.0 => [
                    FitVerdict::Adapt,
                    "Thinner by $by: only with a made bushing, and balanced after.",
                ],
                default => [FitVerdict::Wrong, 'The wheel does not go on this shaft.'],
            },
            FitAttribute::ShaftLength => match (true) {
                abs($more) <= 2.0 => [FitVerdict::Same, ''],
                $more > 0.0 => [
                    FitVerdict::Adapt,
                    "Longer by $by: see that it clears the inlet. Cutting it cannot be undone.",
                ],
                default => [FitVerdict::Wrong, "Shorter by $by: the wheel does not reach its place."],
            },
            FitAttribute::WheelSize => abs($share) <= 0.01
                ? [FitVerdict::Same, '']
                : [FitVerdict::Wrong, 'Another wheel moves other air and draws another current.'],
            FitAttribute::Power, FitAttribute::Amps => match (true) {
                $type !== PartType::Motor => $more > 0.0
                    ? [FitVerdict::Compatible, 'Rated higher.']
                    : [FitVerdict::Wrong, 'Rated lower than the old one: it would burn.'],
                abs($share) <= 0.1 => [FitVerdict::Compatible, 'Within a tenth.'],
                $more > 0.0 && $attribute === FitAttribute::Amps => [
                    FitVerdict::Adapt,
                    "Draws $by more: check fuse, wires, pack and plug for it.",
                ],
                $more > 0.0 && $share <= 0.3 => [
                    FitVerdict::Compatible,
                    'Stronger: set its speed and check the current.',
                ],
                $more > 0.0 => [FitVerdict::Adapt, 'Much stronger: check its current against wires, fuse and control.'],
                default => [FitVerdict::Wrong, 'Too weak for the same wheel.'],
            },
            FitAttribute::ContactAmps, FitAttribute::RatedVolts => $more > 0.0
                ? [FitVerdict::Compatible, 'Rated higher.']
                : [FitVerdict::Wrong, 'Rated lower than the old one.'],
            FitAttribute::Microfarads => abs($share) <= 0.06
                ? [FitVerdict::Compatible, 'Within the ordinary tolerance of 6 %.']
                : [FitVerdict::Adapt, 'Fit the capacitor that the new motor asks for, not the old one.'],
            FitAttribute::Speeds => $more > 0.0
                ? [FitVerdict::Adapt, 'More taps: use those that give the old speeds, and cap the others one by one.']
                : [FitVerdict::Wrong, 'Fewer speeds than the machine uses.'],
            FitAttribute::Pins => [
                FitVerdict::Wrong,
                'Another number of pins: another plug, perhaps another revision.',
            ],
            default => [FitVerdict::Unknown, 'Compare by hand.'],
        };
    }

    /** @return array{0: FitVerdict, 1: string} */
    private static function words(FitAttribute $attribute, string $old, string $new): array
    {
        if (mb_strtolower($old) === mb_strtolower($new)) {
            return match (true) {
                $attribute === FitAttribute::Software && $new === 'switches' => [
                    FitVerdict::Adapt,
                    'Copy every switch from the old part, as a picture.',
                ],
                $attribute === FitAttribute::Software && $new === 'learned' => [
                    FitVerdict::Adapt,
                    'It has to learn this machine after fitting; a used one remembers another machine.',
                ],
                $attribute === FitAttribute::Software && $new === 'coded' => [
                    FitVerdict::Adapt,
                    'It has to be coded to this machine: is the tool for it at hand?',
                ],
                default => [FitVerdict::Same, ''],
            };
        }

        return match ($attribute) {
            FitAttribute::SupplyType => $new === 'ac' && \in_array($old, ['ac50', 'ac60'], true)
                ? [FitVerdict::Compatible, '']
                : [FitVerdict::Wrong, 'Made for another kind of supply.'],
            FitAttribute::Control => [FitVerdict::Wrong, 'It does not understand the command of this machine.'],
            FitAttribute::Rotation => $new === 'reversible'
                ? [FitVerdict::Adapt, 'Set its direction before the wheel goes on, and see the air move the right way.']
                : [FitVerdict::Wrong, 'It turns the other way: the fan would move a third of its air.'],
            FitAttribute::ShaftForm => $old === 'flat' && $new === 'two-flats'
                ? [FitVerdict::Compatible, 'The set screw goes on either flat.']
                : [FitVerdict::Wrong, 'The hub does not hold on this shaft.'],
            FitAttribute::WheelSide => [FitVerdict::Wrong, 'The wheel would stand on the wrong side.'],
            FitAttribute::Mount => [
                FitVerdict::Adapt,
                'Carry over the bracket, band or ring, or make one; never hang it from its wires.',
            ],
            FitAttribute::ConnectorSex => [
                FitVerdict::Adapt,
                'It does not plug in. Ask for the other sex, or carry the old pigtail over with splices rated for the fuse.',
            ],
            FitAttribute::ConnectorKey => [
                FitVerdict::Wrong,
                'Another key: forced in, its pins would meet the wrong ones.',
            ],
            FitAttribute::PinFunctions => [
                FitVerdict::Adapt,
                'Other pin functions: move each wire by what it does, with the transfer table.',
            ],
            FitAttribute::ThermalClass => $new > $old
                ? [FitVerdict::Compatible, 'Stands more heat.']
                : [FitVerdict::Wrong, 'Stands less heat than the old one.'],
            FitAttribute::Cooling => [
                FitVerdict::Wrong,
                'Its slot or fins would face away from the air that cools it.',
            ],
            FitAttribute::Software => match ($new) {
                'none' => [FitVerdict::Compatible, 'Nothing to set.'],
                'switches' => [
                    FitVerdict::Adapt,
                    'It has switches to set where the old one had none: follow its sheet.',
                ],
                'learned' => [
                    FitVerdict::Adapt,
                    'It has to learn this machine after fitting; a used one remembers another machine.',
                ],
                default => [FitVerdict::Adapt, 'It has to be coded to this machine: is the tool for it at hand?'],
            },
            default => [FitVerdict::Adapt, 'It differs: compare the two side by side.'],
        };
    }

    /** @throws UnreadableNumber */
    private static function number(FitAttribute $attribute, string $text): float
    {
        $unit = preg_quote($attribute->unit(), '/');

        return NumberReader::read(trim((string) preg_replace("/\\s*$unit\\s*$/iu", '', $text)), '');
    }

    private static function shown(float $number): string
    {
        return rtrim(rtrim(number_format($number, 2, '.', ''), '0'), '.');
    }
}

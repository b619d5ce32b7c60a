<?php

declare(strict_types=1);

namespace App\Log;

/**
 * A picture as it is kept: turned upright, no larger than needed, and drawn anew, so that nothing of what the
 * camera wrote into the file (place, owner, device) goes along.
 */
final readonly class PhotoFile
{
    private const LONGEST_SIDE = 2000;
    private const MOST_PIXELS = 40_000_000;
    private const QUALITY = 85;

    private function __construct(public string $jpeg, public int $width, public int $height) {}

    /** @throws PhotoRefused */
    public static function of(string $path): self
    {
        $size = @getimagesize($path);
        if ($size === false || !in_array($size[2], [\IMAGETYPE_JPEG, \IMAGETYPE_PNG, \IMAGETYPE_WEBP], true)) {
            throw new PhotoRefused('This is no JPEG, PNG or WebP picture, or it is damaged.');
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw new PhotoRefused('The picture has more than 40 million pixels. Make it smaller.');
        }
        $picture = match ($size[2]) {
            \IMAGETYPE_JPEG => @imagecreatefromjpeg($path),
            \IMAGETYPE_PNG => @imagecreatefrompng($path),
            default => @imagecreatefromwebp($path),
        };
        if ($picture === false) {
            throw new PhotoRefused('The picture is damaged and cannot be opened.');
        }
        $upright = $size[2] === \IMAGETYPE_JPEG ? self::upright($picture, $path) : $picture;
        $scale = min(1.0, self::LONGEST_SIDE / max(imagesx($upright), imagesy($upright)));
        [$width, $height] = [
            max(1, (int) round(imagesx($upright) * $scale)),
            max(1, (int) round(imagesy($upright) * $scale)),
        ];
        $drawn = imagecreatetruecolor($width, $height);
        imagefill($drawn, 0, 0, (int) imagecolorallocate($drawn, 255, 255, 255));
        imagecopyresampled($drawn, $upright, 0, 0, 0, 0, $width, $height, imagesx($upright), imagesy($upright));
        ob_start();
        imagejpeg($drawn, null, self::QUALITY);

        return new self((string) ob_get_clean(), $width, $height);
    }

    /**
     * The same for a picture that was drawn here before: its bytes stay as they are, if nothing stands beside the
     * picture.
     *
     * @throws PhotoRefused
     */
    public static function keeping(string $path): self
    {
        $drawn = self::of($path);
        $bytes = (string) file_get_contents($path);
        $size = getimagesize($path);

        return $size !== false && $size[0] === $drawn->width && $size[1] === $drawn->height && !self::saysMore($bytes)
            ? new self($bytes, $drawn->width, $drawn->height)
            : $drawn;
    }

    /**
     * Whether a JPEG has other segments before its picture than a plain one: those of a camera (APP1 to APP15) among
     * them.
     */
    private static function saysMore(string $bytes): bool
    {
        for ($at = 2; $at + 4 <= strlen($bytes); $at += 2 + ((ord($bytes[$at + 2]) << 8) | ord($bytes[$at + 3]))) {
            $marker = ord($bytes[$at + 1]);
            if ($bytes[$at] !== "\xFF" || ($marker >= 0xe1 && $marker <= 0xef)) {
                return true;
            }
            if ($marker === 0xda) {
                return false;
            }
        }

        return true;
    }

    private static function upright(\GdImage $picture, string $path): \GdImage
    {
        $turned = @exif_read_data($path);
        $angle = match (is_array($turned) ? $turned['Orientation'] ?? 1 : 1) {
            3 => 180,
            6 => -90,
            8 => 90,
            default => 0,
        };
        $upright = $angle === 0 ? $picture : imagerotate($picture, $angle, 0);

        return $upright === false ? $picture : $upright;
    }
}

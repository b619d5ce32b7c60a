<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Contracts\Validation\ValidationRule;

/**
 * What a new password needs: length, and not to be one of those that are tried first.
 */
final readonly class PasswordRule implements ValidationRule
{
    public const LEAST = 12;
    private const MOST = 200;

    /** @param list<string> $own words of this person and workshop, of which it is not made */
    public function __construct(private array $own = []) {}

    /** @param list<string> $own */
    public static function refusal(string $password, array $own = []): ?string
    {
        if (mb_strlen($password) < self::LEAST) {
            return 'Take at least ' . self::LEAST . ' characters: three or four words that do not belong together.';
        }
        if (mb_strlen($password) > self::MOST) {
            return 'Keep it under ' . self::MOST . ' characters.';
        }
        $bare = self::bare($password);
        if ($bare === '' || isset(self::commonest()[$bare]) || isset(self::commonest()[mb_strtolower($password)])) {
            return 'That is among the passwords that are tried first. Take three or four words that do not belong ' .
                'together.';
        }
        foreach ($own as $word) {
            if (self::bare($word) !== '' && self::bare($word) === $bare) {
                return 'That is a name that others know. Take three or four words that do not belong together.';
            }
        }

        return null;
    }

    public function validate(string $attribute, mixed $value, \Closure $fail): void
    {
        $refusal = self::refusal(is_string($value) ? $value : '', $this->own);
        if ($refusal !== null) {
            $fail($refusal);
        }
    }

    /**
     * Without what is hung on a word to make it longer: digits and signs at its ends, and a word that is said again.
     */
    private static function bare(string $password): string
    {
        $bare = trim((string) preg_replace('/^[\d\W_]+|[\d\W_]+$/u', '', mb_strtolower($password)));

        return (string) preg_replace('/^(.+?)[\d\W_]*(?:\1[\d\W_]*)+$/u', '$1', $bare);
    }

    /** @return array<string, int> */
    private static function commonest(): array
    {
        static $words = null;
        $words ??= array_flip(
            array_filter(explode("\n", (string) file_get_contents(resource_path('passwords/commonest.txt')))),
        );

        return $words;
    }
}

/** One width for PHP and TypeScript; php-cs-fixer and ESLint judge everything but the layout. */
export default {
    printWidth: 120,
    tabWidth: 4,
    singleQuote: true,
    trailingComma: 'all',
    plugins: ['@prettier/plugin-php'],
    phpVersion: '8.2',
    braceStyle: 'per-cs',
    overrides: [{ files: '*.php', options: { trailingCommaPHP: true } }],
};

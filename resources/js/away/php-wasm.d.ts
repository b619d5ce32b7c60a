declare module 'php-wasm/php8.2-web.mjs';

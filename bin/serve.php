<?php

/*
 * What PHP's own server does with a request: what was built carries a hash in its name, so a browser may keep it; other
 * files go out as they are, and everything else to the application.
 */

declare(strict_types=1);

const KINDS = [
    'css' => 'text/css; charset=utf-8',
    'js' => 'text/javascript; charset=utf-8',
    'json' => 'application/json',
    'wasm' => 'application/wasm',
    'woff' => 'font/woff',
    'woff2' => 'font/woff2',
];

$path = rawurldecode((string) parse_url($_SERVER['REQUEST_URI'], PHP_URL_PATH));
$file = getcwd() . $path;
if ($path !== '/' && is_file($file)) {
    $kind = KINDS[pathinfo($path, PATHINFO_EXTENSION)] ?? null;
    if ($kind === null || preg_match('#^/build/assets/[\w.-]+$#', $path) !== 1) {
        return false;
    }
    header("Content-Type: $kind");
    header('Content-Length: ' . filesize($file));
    header('Cache-Control: public, max-age=31536000, immutable');
    header('X-Content-Type-Options: nosniff');
    readfile($file);

    return true;
}

require getcwd() . '/index.php';

<?php

/*
 * Prints what of the core goes to a device: one JSON of path => text, without comments and white space, that stands
 * under "core/" beside the two polyfills that its PHP needs. What only the server does (trials, captures, simulated
 * pupils) stays here; the unit that is practised on answers on the device too.
 */

declare(strict_types=1);

$root = dirname(__DIR__);
$stays = '#^core/(?:Diagnosis/Trial/(?!SimulatedUnit|ForeignWorld|Leak|foreign-world)|Capture/|Practice/Pupil)#';
$files = [];
$folders = [
    'core' => '/\.(?:php|json)$/',
    'vendor/symfony/polyfill-mbstring' => '/(?:bootstrap\w*|Mbstring|(?:lower|upper)Case|caseFolding|titleCaseRegexp)\.php$/',
    'vendor/symfony/polyfill-iconv' => '/(?:bootstrap\w*|Iconv)\.php$/',
];
foreach ($folders as $folder => $wanted) {
    $found = new RecursiveIteratorIterator(
        new RecursiveDirectoryIterator("$root/$folder", FilesystemIterator::SKIP_DOTS),
    );
    foreach ($found as $file) {
        $path = substr($file->getPathname(), strlen($root) + 1);
        if (preg_match($wanted, $path) === 1 && preg_match($stays, $path) !== 1) {
            $files[$path] = $file->getExtension() === 'php'
                ? php_strip_whitespace($file->getPathname())
                : json_encode(json_decode((string) file_get_contents($file->getPathname())), JSON_UNESCAPED_UNICODE);
        }
    }
}
ksort($files);
echo json_encode($files, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);

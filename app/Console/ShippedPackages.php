<?php

declare(strict_types=1);

namespace App\Console;

/**
 * What of others is shipped: packages of PHP that run, and those of which something is built into the pages.
 */
final class ShippedPackages
{
    private function __construct() {}

    /** @return list<array{ecosystem: 'composer'|'npm', name: string, version: string, licence: string, folder: string}> by name */
    public static function all(string $root): array
    {
        $read = static fn(string $path): array => (array) json_decode(
            (string) file_get_contents("$root/$path"),
            true,
            64,
            JSON_THROW_ON_ERROR,
        );
        $packages = [];
        $installed = $read('vendor/composer/installed.json');
        foreach ($installed['packages'] as $one) {
            if (
                in_array($one['name'], $installed['dev-package-names'], true) ||
                ($one['type'] ?? '') === 'metapackage'
            ) {
                continue;
            }
            $packages[] = [
                'ecosystem' => 'composer',
                'name' => $one['name'],
                'version' => ltrim($one['version'], 'v'),
                'licence' => implode(' OR ', $one['license'] ?? []),
                'folder' => "vendor/{$one['name']}",
            ];
        }
        $locked = $read('package-lock.json')['packages'];
        foreach ($read('public/build/packages.json') as $name) {
            $one = $locked["node_modules/$name"] ?? throw new \RuntimeException("$name is not in package-lock.json.");
            $packages[] = [
                'ecosystem' => 'npm',
                'name' => $name,
                'version' => $one['version'],
                'licence' => $one['license'] ?? 'NOASSERTION',
                'folder' => "node_modules/$name",
            ];
        }
        usort($packages, static fn(array $a, array $b): int => $a['name'] <=> $b['name']);

        return $packages;
    }

    /**
     * SPDX 2.3. It names no moment: the same packages give the same file.
     *
     * @param list<array{ecosystem: string, name: string, version: string, licence: string, folder: string}> $packages
     *
     * @return array<string, mixed>
     */
    public static function spdx(array $packages): array
    {
        $id = static fn(array $one): string => 'SPDXRef-' .
            $one['ecosystem'] .
            '-' .
            trim((string) preg_replace('/[^A-Za-z0-9.]+/', '-', $one['name']), '-');

        return [
            'spdxVersion' => 'SPDX-2.3',
            'dataLicense' => 'CC0-1.0',
            'SPDXID' => 'SPDXRef-DOCUMENT',
            'name' => 'ispira',
            'documentNamespace' =>
                'https://ispira.invalid/spdx/' . substr(hash('sha256', json_encode($packages) ?: ''), 0, 32),
            'creationInfo' => ['created' => '2026-01-01T00:00:00Z', 'creators' => ['Tool: ispira:packages']],
            'packages' => array_map(
                static fn(array $one): array => [
                    'SPDXID' => $id($one),
                    'name' => $one['name'],
                    'versionInfo' => $one['version'],
                    'downloadLocation' => 'NOASSERTION',
                    'filesAnalyzed' => false,
                    'licenseConcluded' => 'NOASSERTION',
                    'licenseDeclared' => $one['licence'],
                    'copyrightText' => 'NOASSERTION',
                    'externalRefs' => [
                        [
                            'referenceCategory' => 'PACKAGE-MANAGER',
                            'referenceType' => 'purl',
                            'referenceLocator' =>
                                "pkg:{$one['ecosystem']}/" .
                                str_replace('@', '%40', $one['name']) .
                                "@{$one['version']}",
                        ],
                    ],
                ],
                $packages,
            ),
            'relationships' => array_map(
                static fn(array $one): array => [
                    'spdxElementId' => 'SPDXRef-DOCUMENT',
                    'relationshipType' => 'DESCRIBES',
                    'relatedSpdxElement' => $id($one),
                ],
                $packages,
            ),
        ];
    }

    /**
     * The licences with their texts; packages of the same text stand together.
     *
     * @param list<array{ecosystem: string, name: string, version: string, licence: string, folder: string}> $packages
     */
    public static function notices(string $root, array $packages): string
    {
        $texts = [];
        foreach ($packages as $one) {
            $files = glob("$root/{$one['folder']}/{LICEN[CS]E,licen[cs]e,COPYING,NOTICE}*", GLOB_BRACE) ?: [];
            $text = implode(
                "\n\n",
                array_map(
                    static fn(string $file): string => trim((string) file_get_contents($file)),
                    array_filter($files, is_file(...)),
                ),
            );
            $texts[
                $text === '' ? "No text comes with it; it is declared as {$one['licence']}." : $text
            ][] = "{$one['name']} {$one['version']} ({$one['licence']})";
        }
        $said =
            "# Notices\n\nWhat of others is shipped with Ispira, under its own licence. Ispira's own licence is its " .
            "owner's to choose: none is\nchosen here. Written by `bin/artisan ispira:packages`.\n";
        foreach ($texts as $text => $names) {
            $said .=
                "\n## " . implode(', ', $names) . "\n\n```\n" . str_replace('```', "'''", mb_scrub($text)) . "\n```\n";
        }

        return $said;
    }
}

import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { execFileSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** Most that the scripts of the first page may weigh, compressed, in kB of 1000 bytes. */
const FIRST_PAGE = 180;

/** Says after each build what the scripts of the list of jobs weigh, and refuses more than they may. */
function firstPage(): Plugin {
    return {
        name: 'first-page',
        apply: 'build',
        writeBundle(_, bundle) {
            const needed = new Set<string>();
            const add = (name: string) => {
                const chunk = bundle[name];
                if (chunk?.type !== 'chunk' || needed.has(name)) return;
                needed.add(name);
                chunk.imports.forEach(add);
            };
            for (const [name, chunk] of Object.entries(bundle)) {
                const source = chunk.type === 'chunk' ? (chunk.facadeModuleId ?? '') : '';
                if (source.endsWith('/app.tsx') || source.endsWith('/jobs/Jobs.tsx')) add(name);
            }
            const bytes = [...needed].reduce((sum, name) => {
                const chunk = bundle[name];
                return sum + (chunk?.type === 'chunk' ? gzipSync(chunk.code).length : 0);
            }, 0);
            const said = `Scripts of the first page: ${(bytes / 1000).toFixed(1)} kB in ${needed.size} files`;
            if (bytes > FIRST_PAGE * 1000) this.error(`${said}, more than ${FIRST_PAGE} kB.`);
            this.info(said);
        },
    };
}

/** Packages of which something was built in, for the list of what is shipped. */
// What the service worker is made of is put together apart from the pages.
const builtIn = new Set([
    'workbox-cacheable-response',
    'workbox-core',
    'workbox-expiration',
    'workbox-precaching',
    'workbox-routing',
    'workbox-strategies',
]);

function packages(): Plugin {
    return {
        name: 'packages',
        apply: 'build',
        generateBundle(_, bundle) {
            for (const chunk of Object.values(bundle)) {
                const modules = chunk.type === 'chunk' ? Object.keys(chunk.modules) : chunk.originalFileNames;
                for (const module of modules) {
                    const name = /.*node_modules\/((?:@[^/]+\/)?[^/]+)/.exec(module)?.[1];
                    if (name !== undefined) builtIn.add(name);
                }
            }
        },
        writeBundle() {
            writeFileSync('public/build/packages.json', JSON.stringify([...builtIn].sort()));
        },
    };
}

/** Gathers what of the core goes to a device, where the worker finds it. */
function deviceCore(): Plugin {
    return {
        name: 'device-core',
        configResolved() {
            mkdirSync('var', { recursive: true });
            writeFileSync('var/device-core.json', execFileSync('php', ['bin/device-core.php'], { maxBuffer: 64e6 }));
        },
    };
}

/** The engine for where there is no signal: kept once somebody asked for it, never before. */
const engine = /\/assets\/((desk|php8|PhpBase|device-core)[^/]*\.(js|json)|[^/]*\.wasm)$/;

const installable = VitePWA({
    strategies: 'generateSW',
    registerType: 'autoUpdate',
    injectRegister: null,
    outDir: 'public',
    buildBase: '/build/',
    base: '/',
    scope: '/',
    manifest: false,
    workbox: {
        globDirectory: 'public/build',
        globPatterns: ['assets/*.{js,css}', 'assets/*-latin*.woff2'],
        globIgnores: ['**/desk*', '**/php8*', '**/PhpBase*'],
        modifyURLPrefix: { '': '/build/' },
        additionalManifestEntries: [{ url: '/shell', revision: String(Date.now()) }],
        navigateFallback: null,
        dontCacheBustURLsMatching: /assets\//,
        clientsClaim: true,
        skipWaiting: true,
        cleanupOutdatedCaches: true,
        runtimeCaching: [
            {
                urlPattern: ({ request }) => request.mode === 'navigate',
                handler: 'NetworkOnly',
                options: { precacheFallback: { fallbackURL: '/shell' } },
            },
            {
                urlPattern: engine,
                handler: 'CacheFirst',
                options: { cacheName: 'ispira-engine', expiration: { maxEntries: 12 } },
            },
            { urlPattern: /\/(favicon\.svg|icons\/)/, handler: 'CacheFirst', options: { cacheName: 'ispira-icons' } },
        ],
    },
});

export default defineConfig({
    plugins: [
        deviceCore(),
        laravel({ input: ['resources/js/app.tsx'], refresh: false }),
        react(),
        tailwindcss(),
        firstPage(),
        packages(),
        installable,
    ],
    worker: { format: 'es', plugins: () => [packages()] },
    optimizeDeps: { exclude: ['php-wasm'] },
    build: {
        chunkSizeWarningLimit: 900,
        // What several pages use comes as one file: dozens of crumbs take a slow line longer than what is in them.
        rolldownOptions: {
            output: { codeSplitting: { groups: [{ name: 'shared', minShareCount: 6, test: /resources\/js\// }] } },
        },
    },
});

import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { gzipSync } from 'node:zlib';
import { defineConfig, type Plugin } from 'vite';

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

export default defineConfig({
    plugins: [laravel({ input: ['resources/js/app.tsx'], refresh: false }), react(), tailwindcss(), firstPage()],
    build: { chunkSizeWarningLimit: 900 },
});

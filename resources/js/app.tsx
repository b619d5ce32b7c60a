import '../css/app.css';
import { createInertiaApp, router, type ResolvedComponent } from '@inertiajs/react';
import { createRoot } from 'react-dom/client';

// Every component with a capital letter may be a page; the server names it without its folder.
const modules = import.meta.glob<{ default: ResolvedComponent }>('./*/[A-Z]*.tsx');
const pages = new Map(Object.entries(modules).map(([path, load]) => [/(\w+)\.tsx$/.exec(path)?.[1], load]));

// A page that takes longer than a blink says so with a line at the top.
router.on('start', () => {
    document.documentElement.dataset.waiting = 'yes';
});
router.on('finish', () => {
    delete document.documentElement.dataset.waiting;
});

void createInertiaApp({
    title: (title) => (title ? `${title} · Ispira` : 'Ispira'),
    resolve: async (name) => {
        const load = pages.get(name);
        if (!load) throw new Error(`There is no page ${name}.`);
        return (await load()).default;
    },
    setup({ el, App, props }) {
        createRoot(el).render(<App {...props} />);
    },
    progress: false,
});

import { router, usePage } from '@inertiajs/react';
import { useEffect, useState } from 'react';
import type { AwayPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Frame from '@/ui/Frame';
import { person } from './person';
import { store, type Kept } from './store';
import TextLink from '@/ui/TextLink';

/** Stands where the server would have answered: what was taken along is opened, the rest is said. */
export default function Away() {
    const { job, why } = usePage<AwayPage & Shared>().props;
    const [jobs, setJobs] = useState<Kept[] | null>(null);
    const [asked, setAsked] = useState(job !== null || why !== '' || location.pathname === '/shell');
    useEffect(() => {
        void store()
            .then((db) => db.getAll('jobs'))
            .then((all) => setJobs(all.filter((one) => one.person === person())));
    }, []);
    useEffect(() => {
        if (asked) return;
        // The address that was wanted is asked once: of the server, or of what lies here.
        router.visit(location.href, { replace: true, onFinish: () => setAsked(true) });
    }, [asked]);
    return (
        <Frame title="No connection" {...(job ? { job } : {})}>
            <div className="max-w-[46rem] px-5 py-5">
                <h1 className="text-2xl font-semibold">
                    {asked ? 'This page needs the server' : 'Opening what lies on this device'}
                </h1>
                {asked && (
                    <>
                        <p className="mt-2">
                            {why || 'The server is out of reach.'} What was entered here is kept, and sent by itself
                            when it is back.
                        </p>
                        {job && (
                            <p>
                                <TextLink href={`/jobs/${job.id}`}>
                                    Go on with {job.number}, {job.unit}
                                </TextLink>
                            </p>
                        )}
                        {!job && jobs !== null && (
                            <section aria-label="Taken along" className="mt-4">
                                <h2 className="font-semibold">Taken along</h2>
                                {jobs.length === 0 ? (
                                    <p className="text-soft">
                                        No job was taken along on this device by whoever worked here last.
                                    </p>
                                ) : (
                                    <ul>
                                        {jobs.map((one) => (
                                            <li key={one.job}>
                                                <TextLink href={`/jobs/${one.job}`}>
                                                    {one.number}, {one.unit}
                                                </TextLink>
                                            </li>
                                        ))}
                                    </ul>
                                )}
                            </section>
                        )}
                        <p className="mt-4">
                            <TextLink plain href={location.href}>
                                Try the server again
                            </TextLink>
                        </p>
                    </>
                )}
            </div>
        </Frame>
    );
}

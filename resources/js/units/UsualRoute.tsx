import { word } from '@/lib/payload';
import type { RouteShown } from '@/generated/props';
import TextLink from '@/ui/TextLink';

/** The way that was taken to what is replaced, and how long it took. */
export default function UsualRoute({ route }: { route: RouteShown }) {
    return (
        <section aria-labelledby="route" className="mt-8">
            <h2 id="route" className="font-semibold">
                How one gets there
            </h2>
            <p className="text-soft">
                {route.mean === null
                    ? `From ${route.job}.`
                    : `About ${Math.round(route.mean)} minutes apart and together again, over ${route.jobs === 1 ? 'one job' : `${route.jobs} jobs`}.`}{' '}
                <TextLink href={`/jobs/${route.id}/strip`}>{route.job}</TextLink>
            </p>
            <ol className="list-decimal pl-6">
                {route.steps.map((step) => (
                    <li key={step.id}>
                        {word(step.what)}
                        {word(step.fastener) !== '' && (
                            <span className="text-soft">
                                , {word(step.count)} × {word(step.fastener)}
                            </span>
                        )}
                    </li>
                ))}
            </ol>
        </section>
    );
}

import { usePage } from '@inertiajs/react';
import { clock, day } from '@/lib/format';
import type { InstallationPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Frame from '@/ui/Frame';

type Props = InstallationPage & Shared;

const checkWords: Record<string, [string, string]> = {
    database: ['The database answers and can be written.', 'The database does not answer, or cannot be written.'],
    clock: ['The clock is that of the database.', 'The clock and that of the database are seconds apart.'],
    disk: ['The disk has room.', 'The disk is nearly full.'],
    folders: ['Its folders can be written.', 'A folder cannot be written.'],
};

/** How the installation is doing on which this workshop runs. */
export default function Installation() {
    const page = usePage<Props>().props;
    return (
        <Frame title="This installation">
            <div className="mx-auto max-w-[900px] px-5 py-6">
                <h1 className="text-[1.8rem] leading-none font-semibold">This installation</h1>
                <p className="mt-2 text-soft">
                    Version <span className="figure">{page.version}</span>. Whoever runs it can mend what stands here.
                </p>
                <h2 className="mt-6 text-lg font-semibold">How it is doing</h2>
                <ul className="mt-2 border-b border-rule">
                    {Object.entries(page.checks).map(([key, well]) => (
                        <li key={key} className="flex gap-3 border-t border-rule py-2">
                            <span className={`w-16 font-semibold ${well ? 'text-good' : 'text-bad'}`}>
                                {well ? 'well' : 'not well'}
                            </span>
                            <span>{checkWords[key]?.[well ? 0 : 1] ?? key}</span>
                        </li>
                    ))}
                </ul>
                <h2 className="mt-6 text-lg font-semibold">Disk</h2>
                <p className="mt-1">
                    Captures and photos of this workshop take <strong className="figure">{page.used}</strong> of{' '}
                    <span className="figure">{page.limit}</span>; those of one job may take{' '}
                    <span className="figure">{page.limitOfJob}</span>. <span className="figure">{page.free}</span> are
                    free.
                </p>
                <h2 className="mt-6 text-lg font-semibold">Backup</h2>
                <p className={`mt-1 ${page.backupLate ? 'font-medium text-bad' : ''}`}>
                    {page.lastBackup === null
                        ? 'No backup is known of. What is lost here is lost: ask whoever runs this to set one up.'
                        : `The last one is of ${day(page.lastBackup)} ${clock(page.lastBackup)}, ${page.backupSize ?? ''}, ${page.encrypted ? 'encrypted' : 'not encrypted'}.`}
                    {page.lastBackup !== null && page.backupLate && ' That is more than two days ago.'}
                </p>
                <h2 className="mt-6 text-lg font-semibold">What took long</h2>
                {page.slow.length === 0 ? (
                    <p className="mt-1">Nothing took longer than a second in the last thirty days.</p>
                ) : (
                    <div className="mt-2 overflow-x-auto">
                        <table className="w-full text-left">
                            <thead>
                                <tr className="border-b border-ink">
                                    <th className="py-1 pr-4 font-semibold">When</th>
                                    <th className="py-1 pr-4 font-semibold">What</th>
                                    <th className="py-1 pr-4 text-right font-semibold">Seconds</th>
                                    <th className="py-1 font-semibold">Number in the log</th>
                                </tr>
                            </thead>
                            <tbody>
                                {page.slow.map((one) => (
                                    <tr key={one.request} className="border-b border-rule">
                                        <td className="figure py-1 pr-4 whitespace-nowrap text-soft">
                                            {day(one.at)} {clock(one.at)}
                                        </td>
                                        <td className="py-1 pr-4">{one.route}</td>
                                        <td className="figure py-1 pr-4 text-right">
                                            {(one.milliseconds / 1000).toFixed(1)}
                                        </td>
                                        <td className="figure py-1 text-soft">{one.request}</td>
                                    </tr>
                                ))}
                            </tbody>
                        </table>
                    </div>
                )}
            </div>
        </Frame>
    );
}

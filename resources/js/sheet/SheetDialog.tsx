import { Dialog } from 'radix-ui';
import { useRef, useState } from 'react';
import Button from '@/ui/Button';
import PlugFace, { order } from '@/ui/PlugFace';
import Legend from './Legend';
import SheetSvg, { type SheetProps } from './SheetSvg';

const MOST = 4;

interface Props extends SheetProps {
    inline?: boolean;
    /** Classes of the corner of the drawing in which its button stands. */
    corner?: string;
}

/** The whole sheet over the whole screen: pinched, or enlarged by keys, and what its signs mean. */
export default function SheetDialog({ inline = false, corner = '', plugs = [], ...props }: Props) {
    const { sheet, title, red, black } = props;
    const [zoom, setZoom] = useState(1);
    const fingers = useRef(new Map<number, [number, number]>());
    const pinch = useRef<{ apart: number; zoom: number } | null>(null);
    const apart = () => {
        const [one, other] = [...fingers.current.values()];
        return one && other ? Math.hypot(one[0] - other[0], one[1] - other[1]) : 0;
    };
    const set = (next: number) => setZoom(Math.max(1, Math.min(MOST, next)));
    const base = Math.max(
        1,
        Math.min(window.innerWidth / sheet.width, (window.innerHeight - 130) / sheet.height),
        Math.min(1, (window.innerWidth * 2) / sheet.width),
    );
    const scale = base * zoom;
    /** Opens where the first lead goes: a part of the sheet may lie outside of a small screen. */
    const toTheLead = (room: HTMLDivElement | null) => {
        const lead = sheet.nodes[red ?? black ?? ''];
        if (room && lead) room.scrollTo(lead.x * base - room.clientWidth / 2, lead.y * base - room.clientHeight / 2);
    };
    const room = useRef<HTMLDivElement>(null);
    return (
        <Dialog.Root onOpenChange={() => setZoom(1)}>
            <Dialog.Trigger asChild>
                <button
                    type="button"
                    aria-label={inline ? undefined : 'Enlarge'}
                    className={`min-h-11 min-w-11 rounded-[4px] border border-rule bg-sheet px-2 text-[0.92rem] text-lake ${inline ? '' : `absolute ${corner}`}`}
                >
                    {inline ? (
                        'The drawing'
                    ) : (
                        <>
                            <span className="max-sm:hidden">Enlarge</span>
                            <svg viewBox="0 0 20 20" className="mx-auto h-5 w-5 sm:hidden" aria-hidden="true">
                                <path
                                    d="M11 3h6v6M17 3l-6 6M9 17H3v-6M3 17l6 -6"
                                    fill="none"
                                    stroke="currentColor"
                                    strokeWidth="1.8"
                                />
                            </svg>
                        </>
                    )}
                </button>
            </Dialog.Trigger>
            <Dialog.Portal>
                <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
                <Dialog.Content
                    aria-describedby={undefined}
                    onOpenAutoFocus={() => toTheLead(room.current)}
                    className="fixed inset-2 z-50 flex flex-col overflow-hidden rounded-[6px] border border-rule bg-paper"
                >
                    <div className="flex flex-wrap items-center gap-2 border-b border-rule px-3 py-1.5">
                        <Dialog.Title className="mr-auto text-lg font-semibold">Circuit</Dialog.Title>
                        <Button kind="quiet" onClick={() => set(zoom / 1.35)} disabled={zoom <= 1} aria-label="Smaller">
                            −
                        </Button>
                        <Button
                            kind="quiet"
                            onClick={() => set(zoom * 1.35)}
                            disabled={zoom >= MOST}
                            aria-label="Larger"
                        >
                            +
                        </Button>
                        <Dialog.Close asChild>
                            <Button kind="quiet">Close</Button>
                        </Dialog.Close>
                    </div>
                    <div
                        ref={room}
                        // Two fingers pinch; one scrolls, as everywhere.
                        className="min-h-0 flex-1 touch-pan-x touch-pan-y overflow-auto p-3"
                        tabIndex={0}
                        role="region"
                        aria-label={title}
                        onPointerDown={(event) => {
                            fingers.current.set(event.pointerId, [event.clientX, event.clientY]);
                            pinch.current = fingers.current.size === 2 ? { apart: apart(), zoom } : null;
                        }}
                        onPointerMove={(event) => {
                            if (!fingers.current.has(event.pointerId)) return;
                            fingers.current.set(event.pointerId, [event.clientX, event.clientY]);
                            if (pinch.current && pinch.current.apart > 0)
                                set((pinch.current.zoom * apart()) / pinch.current.apart);
                        }}
                        onPointerUp={(event) => {
                            fingers.current.delete(event.pointerId);
                            pinch.current = null;
                        }}
                        onPointerCancel={(event) => {
                            fingers.current.delete(event.pointerId);
                            pinch.current = null;
                        }}
                    >
                        <div style={{ width: sheet.width * scale, height: sheet.height * scale }} className="mx-auto">
                            <SheetSvg
                                {...props}
                                seen={{ left: 0, top: 0, right: sheet.width, bottom: sheet.height }}
                                scale={scale}
                            />
                        </div>
                    </div>
                    {plugs.length > 0 && (
                        <div className="flex flex-wrap gap-x-6 gap-y-1 border-t border-rule px-3 py-1.5">
                            {plugs.map((face) => (
                                <figure key={face.title}>
                                    <PlugFace face={face} />
                                    <figcaption className="text-[0.88rem] text-soft">
                                        {face.title}. {order(face)}
                                    </figcaption>
                                </figure>
                            ))}
                        </div>
                    )}
                    <Legend sheet={sheet} />
                </Dialog.Content>
            </Dialog.Portal>
        </Dialog.Root>
    );
}

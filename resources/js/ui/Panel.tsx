import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import Button from './Button';

interface Props {
    open: boolean;
    onOpenChange: (open: boolean) => void;
    title: string;
    description: string;
    children: ReactNode;
}

/** A sheet laid over the page, closed with Escape or its button. */
export default function Panel({ open, onOpenChange, title, description, children }: Props) {
    return (
        <Dialog.Root open={open} onOpenChange={onOpenChange}>
            <Dialog.Portal>
                <Dialog.Overlay className="fixed inset-0 z-20 bg-black/55" />
                <Dialog.Content className="fixed inset-x-0 bottom-0 z-30 mx-auto flex max-h-[88vh] w-full max-w-[720px] flex-col border-t-4 border-lake bg-paper p-5 shadow-2xl sm:bottom-auto sm:top-[8vh]">
                    <div className="flex items-start justify-between gap-4">
                        <div>
                            <Dialog.Title className="text-xl font-semibold">{title}</Dialog.Title>
                            <Dialog.Description className="text-soft">{description}</Dialog.Description>
                        </div>
                        <Dialog.Close asChild>
                            <Button kind="plain">Close</Button>
                        </Dialog.Close>
                    </div>
                    <div className="mt-4 min-h-0 overflow-y-auto" tabIndex={0} role="group" aria-label={title}>
                        {children}
                    </div>
                </Dialog.Content>
            </Dialog.Portal>
        </Dialog.Root>
    );
}

import { router } from '@inertiajs/react';
import { useRef } from 'react';
import Button from './Button';

interface Props {
    /** What is chosen, said to who does not see the button. */
    label: string;
    accept: string;
    /** Where the file is sent, as `file`. */
    to: string;
    /** What is sent with it. */
    beside?: Record<string, string>;
    children: string;
}

/** A button that asks for a file and sends it at once; the same file can be chosen again. */
export default function FilePick({ label, accept, to, beside = {}, children }: Props) {
    const file = useRef<HTMLInputElement>(null);
    return (
        <>
            <input
                ref={file}
                type="file"
                accept={accept}
                className="sr-only"
                tabIndex={-1}
                aria-label={label}
                onChange={(event) => {
                    const chosen = event.target.files?.[0];
                    if (chosen) router.post(to, { ...beside, file: chosen }, { forceFormData: true });
                    event.target.value = '';
                }}
            />
            <Button onClick={() => file.current?.click()}>{children}</Button>
        </>
    );
}

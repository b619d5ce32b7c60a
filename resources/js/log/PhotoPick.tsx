import { router } from '@inertiajs/react';
import { useId, useState } from 'react';
import { ulid } from 'ulid';

interface Props {
    job: string;
    caption: string;
    value: string;
    onChange: (photo: string) => void;
}

/** Takes a photo that goes with what is being noted. */
export default function PhotoPick({ job, caption, value, onChange }: Props) {
    const field = useId();
    const [problem, setProblem] = useState<string | null>(null);
    const send = (file: File | undefined) => {
        if (!file) return;
        const id = ulid().toLowerCase();
        router.post(
            `/jobs/${job}/photos`,
            { id, photo: file, caption },
            {
                forceFormData: true,
                preserveState: true,
                preserveScroll: true,
                onSuccess: () => {
                    setProblem(null);
                    onChange(id);
                },
                onError: (errors) => setProblem(errors.photo ?? 'The photo did not arrive. Try it once more.'),
            },
        );
    };
    return (
        <div>
            <label htmlFor={field} className="mb-1 block font-medium">
                Photo
            </label>
            <div className="flex min-h-11 items-center gap-3">
                <input
                    id={field}
                    type="file"
                    accept="image/*"
                    onChange={(event) => send(event.target.files?.[0])}
                    className="max-w-64 text-soft file:mr-3 file:min-h-11 file:rounded-[5px] file:border file:border-solid file:border-ink/50 file:bg-sheet file:px-3 file:text-ink"
                />
                {value !== '' && (
                    <img
                        src={`/jobs/${job}/photos/${value}`}
                        alt={caption === '' ? 'The photo just taken' : caption}
                        className="h-11 w-16 object-cover"
                    />
                )}
            </div>
            {problem && (
                <p role="alert" className="mt-1 font-medium text-bad">
                    {problem}
                </p>
            )}
        </div>
    );
}

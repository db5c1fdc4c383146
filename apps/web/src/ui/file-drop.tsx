/** A text that is pasted, dropped as a file, or chosen. */
import clsx from 'clsx';
import { useId, useState, type DragEvent } from 'react';
import { toast } from './toast';
import { inputLook } from './field';

/** bytes of a file that is read here */
const largest = 3_000_000;

export function FileDrop({
  label,
  hint,
  text,
  change,
  rows = 6,
}: {
  label: string;
  hint: string;
  text: string;
  change: (text: string) => void;
  rows?: number;
}) {
  const id = useId();
  const [over, setOver] = useState(false);
  const read = (file: File | undefined): void => {
    if (!file) return;
    if (file.size > largest) return void toast.error(`${file.name} is larger than 3 MB; take it in parts.`);
    void file.text().then(change, () => toast.error(`${file.name} cannot be read.`));
  };
  const drop = (event: DragEvent): void => {
    setOver(false);
    const [file] = event.dataTransfer.files;
    if (!file) return;
    event.preventDefault();
    read(file);
  };
  return (
    <div
      className={clsx('flex flex-col gap-1 rounded-md', over && 'outline-2 outline-amber')}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <div className="flex flex-wrap items-center gap-3">
        <label htmlFor={id} className="text-sm font-medium">
          {label}
        </label>
        <input type="file" aria-label={`${label} as a file`} className="text-sm" onChange={(event) => read(event.target.files?.[0])} />
      </div>
      <textarea
        id={id}
        rows={rows}
        spellCheck={false}
        aria-describedby={`${id}-hint`}
        placeholder="Paste here, or drop a file"
        className={`${inputLook} font-mono text-sm`}
        value={text}
        onChange={(event) => change(event.target.value)}
      />
      <p id={`${id}-hint`} className="text-xs text-soft">
        {hint}
      </p>
    </div>
  );
}

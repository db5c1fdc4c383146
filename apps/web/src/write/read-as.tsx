/** What a pasted message was read as, beside what found no place; one key takes it, one brings the message back. */
import { useEffect } from 'react';
import { Button } from '../ui/button';
import { toast } from '../ui/toast';
import type { MessageReading } from '../workers/core-worker';

interface Props {
  readonly message: string;
  readonly reading: MessageReading;
  readonly take: (text: string) => void;
}

export function ReadAs({ message, reading, take }: Props) {
  const { notation, open } = reading;
  const takeIt = (): void => {
    take(notation);
    toast('The message was taken as a workout.', { action: { label: 'Undo', onClick: () => take(message) } });
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (!event.altKey || event.key.toLowerCase() !== 'r') return;
      event.preventDefault();
      takeIt();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  return (
    <section aria-label="Read as" className="border-l-4 border-block bg-wash p-3 text-sm">
      <p className="mb-2">This reads like a message. Gambito reads it as:</p>
      <pre className="max-h-56 overflow-auto whitespace-pre-wrap bg-sheet p-2">{notation}</pre>
      {open.length > 0 && (
        <ul aria-label="Not read" className="mt-2 list-disc pl-5">
          {open.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
      <div className="mt-2 flex items-center gap-3">
        <Button look="main" onClick={takeIt}>
          Take it
        </Button>
        <span className="text-soft">Alt R. Undo brings the message back.</span>
      </div>
    </section>
  );
}

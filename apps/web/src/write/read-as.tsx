/** What a pasted message was read as, line by line beside where it came from; what only the coach can say; one key takes it, one brings the message back. */
import { useEffect } from 'react';
import { Button } from '../ui/button';
import { toast } from '../ui/toast';
import { MessageQuestions } from './message-questions';
import type { Message } from './use-read-as';

interface Props {
  readonly message: string;
  readonly reading: Message;
  readonly take: (text: string) => void;
  /** marks a line of the message, from 0 */
  readonly show: (line: number) => void;
}

export function ReadAs({ message, reading, take, show }: Props) {
  const { notation, from, questions, open, answer, takeBack } = reading;
  const takeIt = (): void => {
    take(notation);
    toast('The message was taken as a workout.', { action: { label: 'Undo', onClick: () => take(message) } });
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (!event.altKey || event.code !== 'KeyR') return;
      event.preventDefault();
      takeIt();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  return (
    <section aria-label="Read as" className="border-l-4 border-block bg-wash p-3 text-sm">
      <p className="mb-2">This reads like a message. Gambito reads it as:</p>
      <Lines notation={notation} from={from} message={message} show={show} />
      <MessageQuestions questions={questions} answer={answer} takeBack={takeBack} />
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

/** Each line that came from one of the message leads to it. */
function Lines({ notation, from, message, show }: { notation: string; from: readonly (number | null)[] } & Pick<Props, 'message' | 'show'>) {
  const typed = message.split(/\r?\n/);
  return (
    <div className="max-h-72 overflow-auto bg-sheet p-2 font-mono" role="group" aria-label="Plain notation">
      {notation.split('\n').map((line, at) => {
        const source = from[at] ?? null;
        if (line === '' || source === null)
          return (
            <p key={at} className="min-h-5">
              {line}
            </p>
          );
        return (
          <button
            key={at}
            type="button"
            className="block w-full text-left hover:bg-amber-wash"
            title={`From: ${typed[source] ?? ''}`}
            onClick={() => show(source)}
          >
            {line}
          </button>
        );
      })}
    </div>
  );
}

/** One line of a version as the coach wants it, in the words of a workout text. What cannot be read so is said, and stays typed. */
import { useEffect, useState, type FormEvent } from 'react';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';

interface Props {
  readonly label: string;
  /** as it stands */
  readonly line: string;
  /** the coach wrote it */
  readonly byHand: boolean;
  readonly canBeRead: (typed: string) => boolean;
  /** `one movement Gambito knows, such as …` */
  readonly expected: string;
  readonly set: (line: string) => void;
  readonly lift: () => void;
}

export function LineField({ label, line, byHand, canBeRead, expected, set, lift }: Props) {
  const [typed, setTyped] = useState(line);
  const [refused, setRefused] = useState(false);
  useEffect(() => setTyped(line), [line]);
  const take = (event: FormEvent): void => {
    event.preventDefault();
    const isRead = canBeRead(typed);
    setRefused(!isRead);
    if (isRead && typed.trim() !== line) set(typed.trim());
  };
  return (
    <form className="mt-2" onSubmit={take}>
      <div className="flex items-center gap-2">
        <input
          aria-label={label}
          className={`${inputLook} min-w-0 flex-1 text-sm`}
          maxLength={300}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <Button type="submit" disabled={typed.trim() === line}>
          Write it so
        </Button>
        {byHand && (
          <Button look="bare" onClick={lift}>
            Compute it
          </Button>
        )}
      </div>
      {refused && (
        <p role="alert" className="text-sm text-bad">
          Expected {expected}.
        </p>
      )}
    </form>
  );
}

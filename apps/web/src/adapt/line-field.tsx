/** One line of a version as the coach wants it: movement, count, load, tempo, height, wording. What is not one movement is said, and stays typed. */
import { slotInLine, type DefinedMovement } from '@gambito/core';
import { useEffect, useState, type FormEvent } from 'react';
import { useRoom } from '../api/room';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';

interface Props {
  /** as it stands */
  readonly line: string;
  /** the coach wrote it */
  readonly byHand: boolean;
  /** movements that the workout defines */
  readonly own: readonly DefinedMovement[];
  readonly set: (line: string) => void;
  readonly lift: () => void;
}

export function LineField({ line, byHand, own, set, lift }: Props) {
  const units = useRoom();
  const [typed, setTyped] = useState(line);
  const [refused, setRefused] = useState(false);
  useEffect(() => setTyped(line), [line]);
  const take = (event: FormEvent): void => {
    event.preventDefault();
    const isRead = slotInLine(typed, { units, own }) !== null;
    setRefused(!isRead);
    if (isRead && typed.trim() !== line) set(typed.trim());
  };
  return (
    <form className="mt-2" onSubmit={take}>
      <div className="flex items-center gap-2">
        <input
          aria-label="This line"
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
          Expected one movement Gambito knows, such as “12 goblet squat @ 16 kg, tempo 31X1”.
        </p>
      )}
    </form>
  );
}

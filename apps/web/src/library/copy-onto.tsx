/** A copy of a workout, onto a day or without one. */
import { Copy } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { Button } from '../ui/button';
import { NearDays } from '../shell/near-days';
import { isWholeDay } from '../ui/day-field';
import { inputLook } from '../ui/field';

export function CopyOnto({ title, copy }: { title: string; copy: (day: string | null) => void }) {
  const [open, setOpen] = useState(false);
  const [day, setDay] = useState('');
  const take = (onto: string | null): void => {
    setOpen(false);
    copy(onto);
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button look="bare" aria-label={`Duplicate ${title}`}>
          <Copy size={16} /> Copy
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={4}
          aria-label={`Copy ${title}`}
          className="z-40 flex flex-col gap-2 rounded-md border border-line bg-sheet p-3 text-sm shadow-lg"
        >
          <label className="flex items-center gap-2">
            onto
            <input type="date" className={inputLook} value={day} onChange={(event) => setDay(event.target.value)} />
          </label>
          <NearDays take={setDay} />
          <div className="flex gap-2">
            <Button look="main" disabled={!isWholeDay(day)} onClick={() => take(day)}>
              Copy onto this day
            </Button>
            <Button onClick={() => take(null)}>Without a day</Button>
          </div>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

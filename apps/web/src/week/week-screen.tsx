/** The week: a column a day, workouts moved by hand or by key, what collides said where it stands, and what the week works on. */
import { DndContext, PointerSensor, useDroppable, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import clsx from 'clsx';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { format, parseISO } from 'date-fns';
import type { ReactNode } from 'react';
import { Page } from '../shell/frame';
import { useDeskKeys } from '../ui/use-desk-keys';
import { Button } from '../ui/button';
import { Shortcuts } from '../ui/shortcuts';
import { Failed, Loading } from '../ui/states';
import { Balance } from './balance';
import { useWeek, type Week } from './use-week';
import { shifted } from './week';
import { WeekCard } from './week-card';

const keys = [
  ['Alt ← →', 'the workout a day earlier or later (on its card)'],
  ['Enter', 'opens it'],
  ['[ ]', 'the week before or after'],
] as const;
/** px that are a drag and no click */
const dragFrom = 6;
const undatedColumn = 'undated';

export function WeekScreen() {
  const week = useWeek();
  const { days, go, error, again, ready, move, all } = week;
  useDeskKeys({ '[': () => go(shifted(days[0]!, -7)), ']': () => go(shifted(days[0]!, 7)) });
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: dragFrom } }));
  if (error) return <Failed error={error} retry={again} />;
  if (!ready) return <Loading what="Laying out the week" />;
  const drop = ({ active, over }: DragEndEvent): void => {
    const dragged = all.find(({ workout }) => workout.id === active.id);
    if (dragged && over) move(dragged.workout, over.id === undatedColumn ? null : String(over.id));
  };
  return (
    <Page wide title={`Week of ${format(parseISO(days[0]!), 'd MMMM')}`} aside={<Actions week={week} />}>
      <DndContext sensors={sensors} onDragEnd={drop}>
        <div className="grid gap-2 sm:grid-cols-2 md:grid-cols-4 xl:grid-cols-7">
          {days.map((day) => (
            <Day key={day} day={day} week={week} />
          ))}
        </div>
        <Undated week={week} />
      </DndContext>
      <Balance week={week} />
    </Page>
  );
}

function Actions({ week: { days, today, go, copyWeek, copying, inWeek } }: { week: Week }) {
  return (
    <>
      <Button look="bare" onClick={() => go(shifted(days[0]!, -7))} aria-label="The week before">
        <ChevronLeft size={16} />
      </Button>
      <Button look="bare" onClick={() => go(null)} disabled={days.includes(today)}>
        This week
      </Button>
      <Button look="bare" onClick={() => go(shifted(days[0]!, 7))} aria-label="The week after">
        <ChevronRight size={16} />
      </Button>
      <Button onClick={copyWeek} disabled={copying || inWeek.length === 0}>
        Copy onto the next week
      </Button>
      <Shortcuts keys={keys} />
    </>
  );
}

function Column({ id, label, marked, children }: { id: string; label: ReactNode; marked: boolean; children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    <section
      ref={setNodeRef}
      aria-label={typeof label === 'string' ? label : id}
      className={clsx(
        'flex flex-col gap-2 rounded-md border-t-2 p-1.5',
        marked ? 'border-amber' : 'border-ink',
        isOver ? 'bg-amber-wash' : 'bg-sheet',
        id === undatedColumn ? 'min-h-14' : 'min-h-32',
      )}
    >
      <h2 className="text-sm">{label}</h2>
      {children}
    </section>
  );
}

function Day({ day, week }: { day: string; week: Week }) {
  const here = week.inWeek.filter(({ workout }) => workout.day === day);
  return (
    <Column id={day} label={format(parseISO(day), 'EEE d MMM')} marked={day === week.today}>
      {here.map((planned) => (
        <WeekCard key={planned.workout.id} planned={planned} week={week} />
      ))}
    </Column>
  );
}

function Undated({ week }: { week: Week }) {
  return (
    <div className="mt-3">
      <Column id={undatedColumn} label="Without a day" marked={false}>
        <div className="grid gap-2 sm:grid-cols-3 xl:grid-cols-5">
          {week.undated.map((planned) => (
            <WeekCard key={planned.workout.id} planned={planned} week={week} />
          ))}
        </div>
        {week.undated.length === 0 && <p className="text-sm text-soft">Drag one here to take its day away.</p>}
      </Column>
    </div>
  );
}

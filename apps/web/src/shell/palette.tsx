/** Ctrl K: any screen, workout or person, by a few letters of its name. */
import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useLibrary, useRoster } from '../api/queries';
import { useNewWorkout } from '../desk/use-new-workout';
import { useSettled } from '../ui/use-settled';
import { useJustDone } from './just-done';

/** ms after the last key before workouts are looked for */
const searchAfter = 150;
const mostWorkouts = 8;
const screens = [
  ['Desk', '/'],
  ['Week', '/week'],
  ['Workouts', '/workouts'],
  ['Import workouts', '/workouts/import'],
  ['People', '/people'],
  ['Add an athlete', '/people/new'],
  ['Import people', '/people/import'],
  ['House rules', '/rules'],
  ['Account', '/account'],
] as const;
const steps = [
  ['Write', 'write'],
  ['Adapt', 'adapt'],
  ['Print all versions', 'sheet'],
  ['Send', 'send'],
  ['Score & compare', 'board'],
] as const;

/** Open or not; Ctrl K turns it, also while one types. */
function usePalette(): [boolean, (open: boolean) => void] {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey) || event.altKey) return;
      event.preventDefault();
      setOpen((before) => !before);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return [open, setOpen];
}

export function Palette() {
  const [open, setOpen] = usePalette();
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-24 left-1/2 z-50 w-[min(34rem,94vw)] -translate-x-1/2 overflow-hidden rounded-md border border-line bg-sheet"
        >
          <Dialog.Title className="sr-only">Go to</Dialog.Title>
          <Choices close={() => setOpen(false)} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

const item = 'flex min-h-9 cursor-default items-center gap-3 rounded px-2.5 text-sm data-[selected=true]:bg-wash';
const group =
  '[&_[cmdk-group-heading]]:px-2.5 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:pb-1 [&_[cmdk-group-heading]]:text-xs [&_[cmdk-group-heading]]:text-soft';

function Choices({ close }: { close: () => void }) {
  const [search, setSearch] = useState('');
  const navigate = useNavigate();
  const create = useNewWorkout();
  const workout = useParams()['id'];
  const here = window.location.pathname.startsWith('/workouts/') ? workout : undefined;
  const go = (to: string) => (): void => {
    close();
    void navigate(to);
  };
  return (
    <Command label="Go to">
      <Command.Input
        value={search}
        onValueChange={setSearch}
        placeholder="A screen, a workout, somebody"
        className="w-full border-b border-line bg-transparent px-4 py-3 text-base outline-none placeholder:text-soft"
      />
      <Command.List className="max-h-[60dvh] overflow-auto p-1.5">
        <Command.Empty className="p-4 text-sm text-soft">Nothing with these letters.</Command.Empty>
        {here && (
          <Command.Group heading="This workout" className={group}>
            {steps.map(([label, to]) => (
              <Command.Item key={to} className={item} onSelect={go(`/workouts/${here}/${to}`)}>
                {label}
              </Command.Item>
            ))}
          </Command.Group>
        )}
        <Command.Group heading="Screens" className={group}>
          <Command.Item
            className={item}
            onSelect={() => {
              close();
              create.mutate(null);
            }}
          >
            New workout
          </Command.Item>
          {screens.map(([label, to]) => (
            <Command.Item key={to} className={item} onSelect={go(to)}>
              {label}
            </Command.Item>
          ))}
        </Command.Group>
        <LastDone close={close} />
        <Workouts search={search} go={go} />
        <People go={go} />
      </Command.List>
    </Command>
  );
}

/** Undo by keyboard, when its message is gone. */
function LastDone({ close }: { close: () => void }) {
  const done = useJustDone();
  if (done.length === 0) return null;
  return (
    <Command.Group heading="Undo" className={group}>
      {done.map(({ id, text, undo }) => (
        <Command.Item
          key={id}
          value={`Undo ${text} ${id}`}
          className={item}
          onSelect={() => {
            close();
            undo();
          }}
        >
          Undo: {text}
        </Command.Item>
      ))}
    </Command.Group>
  );
}

function Workouts({ search, go }: { search: string; go: (to: string) => () => void }) {
  const asked = useSettled(search.trim(), searchAfter);
  const { data } = useLibrary(asked === '' ? {} : { search: asked });
  const found = (data?.pages[0]?.workouts ?? []).slice(0, mostWorkouts);
  return (
    <Command.Group heading="Workouts" className={group}>
      {found.map(({ id, title, preview, day }) => (
        // what the server found has these words, wherever they stand in it
        <Command.Item key={id} value={`${title} ${id}`} keywords={[asked, preview]} className={item} onSelect={go(`/workouts/${id}/write`)}>
          {title}
          <span className="ml-auto text-xs text-soft">{day}</span>
        </Command.Item>
      ))}
    </Command.Group>
  );
}

function People({ go }: { go: (to: string) => () => void }) {
  const { data: people = [] } = useRoster();
  return (
    <Command.Group heading="People" className={group}>
      {people.map(({ id, name }) => (
        <Command.Item key={id} value={`${name} ${id}`} className={item} onSelect={go(`/people/${id}`)}>
          {name}
        </Command.Item>
      ))}
    </Command.Group>
  );
}

/** Time zone, units, the week and when scores are due; what is chosen is saved at once, and undone by one click. */
import { logByHours as logBy, type LogBy } from '@gambito/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import type { Me } from '../api/types';
import { Field, inputLook } from '../ui/field';

type Coach = NonNullable<Me['coach']>;
type Room = Pick<Coach, 'timeZone' | 'units' | 'firstDay' | 'logByHours'>;

const zones = (own: string): [string, string][] => [...new Set([own, 'UTC', ...Intl.supportedValuesOf('timeZone')])].map((zone) => [zone, zone]);

/** Saving the room, with one undo. */
function useRoomChoice({ timeZone, units, firstDay, logByHours }: Room) {
  const client = useQueryClient();
  const save = useMutation({
    mutationFn: (room: Room) => api<Me>('/me', { method: 'PUT', body: room }),
    onSuccess: (me) => {
      client.setQueryData(['me'], me);
      void client.invalidateQueries();
    },
    onError: (failure) => toast.error(messageOf(failure)),
  });
  const choose = (change: Partial<Room>): void => {
    const before = { timeZone, units, firstDay, logByHours };
    save.mutate({ ...before, ...change }, { onSuccess: () => toast('Saved.', { action: { label: 'Undo', onClick: () => save.mutate(before) } }) });
  };
  return { choose, busy: save.isPending };
}

export function RoomForm({ coach }: { coach: Coach }) {
  const { choose, busy } = useRoomChoice(coach);
  return (
    <section className="flex flex-col gap-3">
      <h2 className="text-lg">Room</h2>
      <Choice
        label="Time zone"
        hint="Where today begins and ends: for the desk, ages, and the days of scores."
        value={coach.timeZone}
        options={zones(coach.timeZone)}
        busy={busy}
        choose={(timeZone) => choose({ timeZone })}
      />
      <Choice
        label="A load without a unit is in"
        hint="Boards are read anew when this changes; loads that say their unit stay what they are."
        value={coach.units}
        options={[
          ['kg', 'kilograms'],
          ['lb', 'pounds'],
        ]}
        busy={busy}
        choose={(units) => choose({ units: units as Room['units'] })}
      />
      <Choice
        label="The week begins on"
        value={String(coach.firstDay)}
        options={[
          ['1', 'Monday'],
          ['0', 'Sunday'],
        ]}
        busy={busy}
        choose={(day) => choose({ firstDay: Number(day) })}
      />
      <Choice
        label="A score is due"
        hint="After that a workout without one is missed: on the desk, and in the person’s record."
        value={String(coach.logByHours)}
        options={Object.entries(logBy)}
        busy={busy}
        choose={(hours) => choose({ logByHours: Number(hours) as LogBy })}
      />
    </section>
  );
}

interface ChoiceProps {
  readonly label: string;
  readonly hint?: string;
  readonly value: string;
  /** value, words */
  readonly options: readonly (readonly [string, string])[];
  readonly busy: boolean;
  readonly choose: (value: string) => void;
}
function Choice({ label, hint = '', value, options, busy, choose }: ChoiceProps) {
  return (
    <Field label={label} hint={hint}>
      {(props) => (
        <select {...props} className={inputLook} value={value} disabled={busy} onChange={(event) => choose(event.target.value)}>
          {options.map(([option, words]) => (
            <option key={option} value={option}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}

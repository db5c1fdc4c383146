/** Time zone, units and the week; what is chosen is saved at once, and undone by one click. */
import { logByHours as logBy, type LogBy } from '@gambito/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { api, messageOf } from '../api/client';
import type { Me } from '../api/types';
import { Field, inputLook } from '../ui/field';

type Coach = NonNullable<Me['coach']>;
type Room = Pick<Coach, 'timeZone' | 'units' | 'firstDay' | 'logByHours'>;

const zones = (own: string): string[] => [...new Set([own, 'UTC', ...Intl.supportedValuesOf('timeZone')])];

export function RoomForm({ coach }: { coach: Coach }) {
  const client = useQueryClient();
  const { timeZone, units, firstDay, logByHours } = coach;
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
  return (
    <section className="flex flex-col gap-3">
      <h2 className="text-lg">Room</h2>
      <Field label="Time zone" hint="Where today begins and ends: for the desk, ages, and the days of scores.">
        {(props) => (
          <select {...props} className={inputLook} value={timeZone} disabled={save.isPending} onChange={(event) => choose({ timeZone: event.target.value })}>
            {zones(timeZone).map((zone) => (
              <option key={zone}>{zone}</option>
            ))}
          </select>
        )}
      </Field>
      <Field label="A load without a unit is in" hint="Boards are read anew when this changes; loads that say their unit stay what they are.">
        {(props) => (
          <select
            {...props}
            className={inputLook}
            value={units}
            disabled={save.isPending}
            onChange={(event) => choose({ units: event.target.value as Room['units'] })}
          >
            <option value="kg">kilograms</option>
            <option value="lb">pounds</option>
          </select>
        )}
      </Field>
      <Field label="The week begins on" hint="">
        {(props) => (
          <select
            {...props}
            className={inputLook}
            value={firstDay}
            disabled={save.isPending}
            onChange={(event) => choose({ firstDay: Number(event.target.value) })}
          >
            <option value={1}>Monday</option>
            <option value={0}>Sunday</option>
          </select>
        )}
      </Field>
      <Field label="A score is due" hint="After that a workout without one is missed: on the desk, and in the person’s record.">
        {(props) => (
          <select
            {...props}
            className={inputLook}
            value={logByHours}
            disabled={save.isPending}
            onChange={(event) => choose({ logByHours: Number(event.target.value) as LogBy })}
          >
            {Object.entries(logBy).map(([hours, words]) => (
              <option key={hours} value={hours}>
                {words}
              </option>
            ))}
          </select>
        )}
      </Field>
    </section>
  );
}

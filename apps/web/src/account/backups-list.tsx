/** When backups are taken and how the last ones went, for whoever set the instance up. */
import type { Backups } from '@gambito/contract';
import { useQuery } from '@tanstack/react-query';
import { differenceInHours, format, parseISO } from 'date-fns';
import { api } from '../api/client';
import { Failed, Loading } from '../ui/states';

/** h without a whole backup after which it is said */
const staleHours = 36;
const mostShown = 7;
const sizeOf = (bytes: number): string => (bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${(bytes / 1e6).toFixed(1)} MB`);

export function BackupsList({ now = new Date() }: { now?: Date }) {
  const { data, error, refetch } = useQuery({ queryKey: ['backups'], queryFn: () => api<Backups>('/backups') });
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading />;
  const whole = data.taken.find(({ failure }) => failure === null);
  const isStale = !whole || differenceInHours(now, parseISO(whole.at)) >= staleHours;
  return (
    <section className="flex flex-col gap-2 text-sm">
      <h2 className="text-lg">Backups</h2>
      <p>{data.at === null ? 'None is taken by itself.' : `Taken every night at ${data.at}.`}</p>
      {isStale && (
        <p role="alert" className="border-l-4 border-amber pl-2">
          {whole ? `The last whole one is of ${format(parseISO(whole.at), 'd MMM HH:mm')}.` : 'There is none yet.'} Start Gambito with{' '}
          <code className="whitespace-nowrap">npm start -- --backups FOLDER</code>, or take one with{' '}
          <code className="whitespace-nowrap">npm run backup -- FILE</code>.
        </p>
      )}
      <ul className="divide-y divide-line">
        {data.taken.slice(0, mostShown).map(({ at, file, bytes, rows, failure }) => (
          <li key={at + file} className="py-1">
            {format(parseISO(at), 'd MMM HH:mm')}{' '}
            {failure === null ? (
              <span className="text-good">
                {sizeOf(bytes)}, {rows} rows
              </span>
            ) : (
              <span className="text-bad">failed: {failure}</span>
            )}
            <span className="block truncate text-xs text-soft" title={file}>
              {file}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What devices tell beside the clock. */
import { formatClock } from '@gambito/core';
import { Bluetooth, HeartPulse, Waves } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { devices, type Device } from './device';
import { heardBytes, measuredOf, nothingYet, type Measuring } from './measuring';
import { keepMeasured, readMeasured } from './use-measured';

function useDevices(token: string, running: boolean) {
  const [on, setOn] = useState<readonly Device['kind'][]>([]);
  const [measuring, setMeasuring] = useState<Measuring>(nothingYet);
  const counts = useRef(running);
  counts.current = running;
  useEffect(() => {
    const stops = devices
      .filter(({ kind }) => on.includes(kind))
      .map(({ kind, listen }) => listen((bytes) => setMeasuring((before) => heardBytes(before, kind, bytes, counts.current))));
    return () => stops.forEach((stop) => stop());
  }, [on]);
  useEffect(() => {
    const measured = measuredOf(measuring);
    if (measured) keepMeasured(token, { ...readMeasured(token), ...measured });
  }, [token, measuring]);
  return { on, measuring, toggle: (kind: Device['kind']) => setOn(on.includes(kind) ? on.filter((each) => each !== kind) : [...on, kind]) };
}

export function Gauges({ token, running }: { token: string; running: boolean }) {
  const { on, measuring, toggle } = useDevices(token, running);
  return (
    <div className="flex flex-wrap items-center gap-3 text-lg" aria-label="Devices" role="group">
      {measuring.beats && on.includes('heart') && (
        <span className="flex items-center gap-1 font-semibold">
          <HeartPulse size={18} aria-label="heart rate" /> {measuring.beats.now}
        </span>
      )}
      {measuring.row && on.includes('row') && (
        <span className="flex items-center gap-1 font-semibold">
          <Waves size={18} aria-label="rowed" /> {measuring.row.metres} m{measuring.row.pace !== null && `, ${formatClock(measuring.row.pace)} / 500 m`}
        </span>
      )}
      <details className="text-sm">
        <summary className="flex min-h-9 cursor-pointer items-center gap-1 rounded px-2 text-soft">
          <Bluetooth size={15} /> devices
        </summary>
        <div className="flex flex-wrap gap-2 pt-1">
          {devices.map(({ kind, name }) => (
            <label key={kind} className="flex min-h-9 items-center gap-2 rounded border border-line bg-sheet px-2 text-ink">
              <input type="checkbox" checked={on.includes(kind)} onChange={() => toggle(kind)} />
              {name}
            </label>
          ))}
        </div>
      </details>
    </div>
  );
}

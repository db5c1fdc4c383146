/** `npm test -- --at "2027-01-31 23:58" --zone Pacific/Auckland`: servers, database, unit tests and pages live at another time (libfaketime of Debian's package faketime). */
import { existsSync } from 'node:fs';
import { Refusal } from '../lib/say.mjs';

const library = '/usr/lib/x86_64-linux-gnu/faketime/libfaketimeMT.so.1';

/** @returns what every process of the run is started with; empty where nothing is asked */
export function otherTime({ at, zone }) {
  const here = zone === undefined ? {} : { TZ: zone, GAMBITO_ZONE: zone };
  if (at === undefined) return here;
  const wanted = Date.parse(`${at.replace(' ', 'T')}Z`);
  if (Number.isNaN(wanted)) throw new Refusal(`--at: “${at}” is no time; expected YYYY-MM-DD HH:MM, in UTC.`);
  if (!existsSync(library)) throw new Refusal('--at needs Debian’s package faketime: apt-get install faketime');
  const seconds = Math.round((wanted - Date.now()) / 1000);
  return {
    ...here,
    LD_PRELOAD: library,
    FAKETIME: `${seconds < 0 ? '' : '+'}${seconds}s`,
    FAKETIME_DONT_FAKE_MONOTONIC: '1',
    GAMBITO_SHIFT: String(seconds * 1000),
  };
}

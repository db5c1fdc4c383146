/** What hurt, in words: apart from its schema, so that a phone that says them loads no schema. */
import type { Felt, KeptReport } from './today';

export const feltWords: Readonly<Record<Felt['much'], string>> = { 1: 'noticed it', 2: 'had to change something', 3: 'had to stop' };
const asSentence = (note: string): string => `${note.charAt(0).toUpperCase()}${note.slice(1)}${/[.!?…]$/.test(note) ? '' : '.'}`;
/** `low back in deadlift: had to stop. Since the third round.` */
const reportSentence = ({ where, much, movement, note, takenBack = false }: KeptReport): string =>
  `${where}${movement ? ` in ${movement}` : ''}: ${feltWords[much]}.${note ? ` ${asSentence(note)}` : ''}${takenBack ? ' (They took this back later.)' : ''}`;
/** The gravest report, and the others. */
export const feltSentence = ({ also = [], ...gravest }: Felt): string =>
  [reportSentence(gravest), ...also.map((report) => `Also: ${reportSentence(report)}`)].join(' ');

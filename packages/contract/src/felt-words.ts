/** What hurt, in words: apart from its schema, so that a phone that says them loads no schema. */
import type { Felt } from './today';

export const feltWords: Readonly<Record<Felt['much'], string>> = { 1: 'noticed it', 2: 'had to change something', 3: 'had to stop' };
/** `low back in deadlift: had to stop. Since the third round.` */
export const feltSentence = ({ where, much, movement, note }: Felt): string =>
  `${where}${movement ? ` in ${movement}` : ''}: ${feltWords[much]}.${note ? ` ${note}` : ''}`;

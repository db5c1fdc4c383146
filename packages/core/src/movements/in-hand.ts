/**
 * The name is what is in the hand: a dumbbell's movement done with a can is written as done with the can. The name and its reading meet here,
 * so that what is written reads back to the same movement and the same implement.
 */
import { isMovementId, movementOf } from './catalogue';
import type { Implement, MovementId } from './movement';
import { findMovement } from './names';

const implementWord = /\b(?:dumbbell|kettlebell|barbell|backpack|sandbag|bag|ball|can|plate|band)\b/;
/** said without a word of its own where the movement is usually done with it */
const bare: ReadonlySet<Implement> = new Set(['barbell', 'dumbbell', 'kettlebell', 'vest', 'stick', 'band']);

const wordIn = (id: MovementId): string | null => implementWord.exec(movementOf(id).name.toLowerCase())?.[0] ?? null;
const isSaid = (word: string, implement: Implement): boolean => word === implement || ((word === 'bag' || word === 'ball') && implement === 'sandbag');

/** The implement to be said with a movement; null where its own name says it already, or the trade says none. */
export function implementToSay(id: MovementId, implement: Implement): Implement | null {
  const word = wordIn(id);
  if (word !== null) return isSaid(word, implement) ? null : implement;
  return bare.has(implement) ? null : implement;
}

/** `alternating kettlebell clean`, `can push press`: the name with this implement in the hand. */
export function nameInHand(id: MovementId, implement: Implement): string {
  const name = movementOf(id).name.toLowerCase();
  const word = wordIn(id);
  return word === null ? `${implement} ${name}` : name.replace(implementWord, implement);
}

const carriers = ['dumbbell', 'kettlebell', 'sandbag', 'backpack', 'barbell', 'bag', ''] as const;
const words: Readonly<Record<string, Implement>> = {
  can: 'can',
  cans: 'can',
  jug: 'can',
  backpack: 'backpack',
  rucksack: 'backpack',
  pack: 'backpack',
  sandbag: 'sandbag',
  bag: 'sandbag',
  plate: 'plate',
  kettlebell: 'kettlebell',
  kb: 'kettlebell',
  dumbbell: 'dumbbell',
  db: 'dumbbell',
  barbell: 'barbell',
  bb: 'barbell',
  band: 'band',
};

/**
 * Words with an implement in them that are no name of their own: the same words with another implement, or none, name the movement.
 * One that may be done with it is taken before one that may not. The implement is null where the movement so named has a name of its own.
 */
export function findInHand(text: string): { readonly id: MovementId; readonly implement: Implement | null } | null {
  const said = text
    .toLowerCase()
    .replace(/\bwater (?=cans?\b)/, '')
    .split(/\s+/);
  const at = said.findIndex((word) => Object.hasOwn(words, word));
  if (at < 0 || said.length < 2) return null;
  const implement = words[said[at]!]!;
  const named = carriers.flatMap((carrier) => {
    const id = findMovement([...said.slice(0, at), carrier, ...said.slice(at + 1)].filter((word) => word !== '').join(' '));
    return id !== null && isMovementId(id) && movementOf(id).load ? [id] : [];
  });
  const id = named.find((each) => movementOf(each).load!.implements.includes(implement)) ?? named[0];
  if (id === undefined) return null;
  const own = findMovement(nameInHand(id, implement));
  return own !== null && isMovementId(own) ? { id: own, implement: null } : { id, implement };
}

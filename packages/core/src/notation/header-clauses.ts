/** What may be said of any part, in its header or on a line of its own: a cap, a rest, a vest, a team, an order of work and rest. */
import { poundsToKilograms } from '../units/mass';
import type { Part, Team } from '../workout/workout';
import type { Cursor } from '../text/cursor';
import { readColumns, readDuration, readMassUnit } from '../text/figures';
import type { Phrase } from './header';
import { readRest } from './read-rest';

const perSet = (cursor: Cursor): boolean => cursor.phrase('per|a|each|every', 'set|window|round|piece|effort');
export const seconds = (cursor: Cursor): number | null => readDuration(cursor, 'minutes', true);

export const cap: Phrase = (cursor, header) => {
  const found = cursor.try((c) => {
    if (c.phrase('time', 'cap|limit') || c.phrase('cap|capped') || c.phrase('tc') || c.phrase('within')) {
      c.phrase('of|at|is');
      c.sign(':', '=');
      return seconds(c);
    }
    const length = readDuration(c, 'none', true);
    return length !== null && (c.phrase('time', 'cap|limit') || c.phrase('hard?', 'cap') || c.phrase('tc') || c.phrase('to', 'complete')) ? length : null;
  });
  if (found === null) return false;
  header.capSeconds = found;
  header.capPerSet = perSet(cursor);
  return true;
};

export const rest: Phrase = (cursor, header) => {
  const first = cursor.at;
  const read = readRest(cursor);
  if (!read) return false;
  if (read.kind === 'until') header.clock ??= { kind: 'restUntil', seconds: read.seconds };
  else if (first === 0 && header.clock === null && !read.between) header.clock = { kind: 'rest', rest: read.rest, inMinutes: read.inMinutes };
  else header.restBetween = read.rest;
  return true;
};

/** `with vest 9/6 kg`, `w/ vest`, `wearing a 20/14 lb vest`. */
export const vest: Phrase = (cursor, header) => {
  const found = cursor.try((c) => {
    if (!(c.isWord('w') && c.isSign('/', 1) ? ((c.at += 2), true) : c.word('with', 'wearing', 'in'))) return null;
    c.phrase('a|weight|weighted?', 'weight|weighted?');
    const before = readVestMass(c);
    if (!c.word('vest')) return null;
    c.sign('@', ':');
    return before ?? readVestMass(c) ?? { men: 9, women: 6, unit: 'kg' as const };
  });
  if (!found) return false;
  header.vest = found;
  return true;
};
function readVestMass(cursor: Cursor): NonNullable<Part['vest']> | null {
  return cursor.try((c) => {
    const figures = readColumns(c);
    if (!figures) return null;
    const unit = readMassUnit(c) ?? 'kg';
    const factor = unit === 'lb' ? poundsToKilograms(1) : 1;
    return { men: figures.men * factor, women: figures.women * factor, unit };
  });
}

export const team: Phrase = (cursor, header) => {
  const size = cursor.try(readTeamSize);
  const how = readSharing(cursor, size !== null || header.team !== null);
  if (size === null && how === null) return false;
  header.team = { size: size ?? header.team?.size ?? 2, how: how ?? header.team?.how ?? null };
  return true;
};
function readTeamSize(cursor: Cursor): number | null {
  cursor.phrase('in|with', 'a?');
  if (cursor.phrase('teams|team|groups', 'of') && cursor.isNumber()) return cursor.next()!.value;
  if (cursor.phrase('pairs|partners|partner')) return 2;
  const size = cursor.isNumber() ? cursor.next()!.value : NaN;
  cursor.sign('-');
  return size > 0 && cursor.phrase('person|people', 'teams|team?') ? size : null;
}
/** @param shared a team was told: of one athlete who partitions, the words are an order of the work */
function readSharing(cursor: Cursor, shared: boolean): Team['how'] {
  if (cursor.phrase('you', 'go') && (cursor.sign(',', '-', '/') || true) && cursor.phrase('i', 'go')) return 'youGoIGo';
  if (cursor.phrase('i', 'go') && (cursor.sign(',', '-', '/') || true) && cursor.phrase('you', 'go')) return 'youGoIGo';
  if (
    cursor.phrase('ygig|igyg') ||
    cursor.phrase('one', 'works|working|person|partner|athlete?', 'works|working?', 'at', 'a', 'time') ||
    cursor.phrase('one', 'works|working', 'one?', 'rests|resting?') ||
    cursor.phrase('alternate|alternating', 'rounds|partners')
  )
    return 'youGoIGo';
  if (cursor.phrase('synchro|synchronised|synchronized|sync')) return 'synchro';
  if (cursor.phrase(shared ? 'split|share|partition|divide' : 'split|share', 'the|reps|work|all?', 'reps|work?', 'as|however|anyhow', 'needed|you|desired?')) {
    cursor.phrase('like|want|needed');
    return 'splitAsNeeded';
  }
  return null;
}

/** `work/rest 1:1`. */
export const workRest: Phrase = (cursor, header) => {
  const found = cursor.try((c) => {
    if (!c.word('work') || !c.sign('/', ':', '-') || !c.word('rest')) return null;
    c.sign(':', '=');
    const [work, , pause] = [c.peek(0), c.peek(1), c.peek(2)];
    if (work?.kind !== 'number' || !c.isSign(':', 1) || pause?.kind !== 'number' || work.value <= 0) return null;
    c.at += 3;
    return pause.value / work.value;
  });
  if (found === null) return false;
  header.restBetween = { low: 60, high: 60, open: 'ratio', ratio: found };
  return true;
};

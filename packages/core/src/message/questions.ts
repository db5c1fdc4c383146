/** What a message leaves open, as questions with choices: each choice is an answer the reader takes in (`house-words.ts`). */
import { nearestMovements, nearMovements } from '../movements/names';
import { movementOf } from '../movements/catalogue';
import { itemsOf, movementIn, type Draft, type Item } from './draft';
import type { Named } from './gazetteer';
import { unitNames, type HouseWord } from './house-words';
import type { UnitAssumed } from './units-told';

export interface Choice {
  readonly label: string;
  readonly answer: HouseWord;
}
export interface Question {
  /** as it stands in the message */
  readonly about: string;
  /** a whole sentence, for where no choice can be shown */
  readonly sentence: string;
  readonly asks: string;
  /** two to four; the likeliest first */
  readonly choices: readonly Choice[];
  /** the coach may name any movement instead: the words are then a movement of their own */
  readonly movement: boolean;
}

/** share of the letters in which a name may differ and still be offered */
const alike = 0.4;
/** without what it is done with, and how: `zombie front squat` is near to a front squat */
function nearOf(name: string, most: number): string[] {
  const words = name.toLowerCase().split(' ');
  const tails = words.map((_, at) => words.slice(at).join(' '));
  const ids = [...[...tails.slice(1), ...tails].flatMap((tail) => nearMovements(tail, most)), ...nearestMovements(name, most, alike)];
  return [...new Set(ids)].slice(0, most).map((id) => movementOf(id).name);
}
const lower = (name: string): string => (/^[A-Z]{2}/.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1));

const asWritten = (words: string): Choice => ({ label: 'Keep it as written, not checked', answer: { kind: 'asWritten', words, means: '' } });
const noMovement = (words: string): Choice => ({ label: 'It is no movement', answer: { kind: 'name', words, means: '' } });
const named = (words: string, name: string): Choice => ({ label: `The same as ${lower(name)}`, answer: { kind: 'name', words, means: name } });

function ofUnknown(name: string): Question {
  return {
    about: name,
    sentence: `“${name}” is no movement Gambito knows.`,
    asks: `Gambito does not know “${name}”. What is it?`,
    choices: [...nearOf(name, 2).map((near) => named(name, near)), asWritten(name), noMovement(name)],
    movement: true,
  };
}
function ofSlip(typed: string, { name }: Named): Question {
  const others = nearOf(typed, 2).filter((other) => other !== name);
  return {
    about: typed,
    sentence: `“${typed}” is read as “${lower(name)}”.`,
    asks: `Is “${typed}” ${lower(name)}?`,
    choices: [
      { label: `Yes, ${lower(name)}`, answer: { kind: 'name', words: typed, means: name } },
      ...others.slice(0, 1).map((other) => named(typed, other)),
      asWritten(typed),
      noMovement(typed),
    ],
    movement: true,
  };
}
const ways = ['Run', 'Row', 'Bike', 'Ski machine'];
const ofMetres: Question = {
  about: 'metres',
  sentence: 'A length without a movement is read as running.',
  asks: 'A length stands without a movement. How is it covered?',
  choices: ways.map((way) => ({ label: way, answer: { kind: 'metres', words: '', means: way } })),
  movement: false,
};
const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);
function ofUnit({ of, text, unit, name }: UnitAssumed): Question {
  const other = { in: 'cm', cm: 'in', kg: 'lb', lb: 'kg' }[unit]!;
  return {
    about: text,
    sentence: `“${text}” of ${lower(name)} has no unit; it is read in ${unitNames[unit]!}.`,
    asks: `“${text}” of ${lower(name)}: in which unit?`,
    choices: [unit, other].map((each) => ({ label: capital(unitNames[each]!), answer: { kind: of, words: of === 'load' ? text : '', means: each } })),
    movement: false,
  };
}

/** a bare figure below it is no load */
const leastLoad = 4;
/** Items of the work a figure could belong to: they have none of its kind. */
function takersOf(figure: string, items: readonly Item[]): readonly Item[] {
  if (/kg|lb|%/.test(figure)) return items.filter((item) => item.load === null && (movementIn(item)?.load ?? null) !== null);
  if (/cm|in\b|"/.test(figure)) return items.filter((item) => item.height === null && /box|step|jump|ball|rope/.test(item.named?.id ?? ''));
  if (/[a-z:]/.test(figure)) return [];
  return items.filter(
    (item) => item.count === null || (item.load === null && (movementIn(item)?.load ?? null) !== null && Number.parseFloat(figure) >= leastLoad),
  );
}
/** A figure that found no place. */
export function ofFigure(figure: string, drafts: readonly Draft[]): Question {
  const names = takersOf(figure, drafts.flatMap(itemsOf)).flatMap(({ named: each }) => each?.name ?? []);
  return {
    about: figure,
    sentence: `“${figure}” found no place.`,
    asks: `Where does “${figure}” belong?`,
    choices: [
      ...[...new Set(names)].slice(0, 3).map((name): Choice => ({ label: `To ${lower(name)}`, answer: { kind: 'figure', words: figure, means: name } })),
      { label: 'It is no part of the workout', answer: { kind: 'figure', words: figure, means: '' } },
    ],
    movement: false,
  };
}
/** Puts a figure where the coach said it belongs. @returns whether it is settled */
export function settleFigure(figure: string, drafts: readonly Draft[], words: readonly HouseWord[]): boolean {
  const answer = words.findLast(({ kind, words: about }) => kind === 'figure' && about === figure);
  if (answer === undefined || answer.means === '') return answer !== undefined;
  const item = drafts.flatMap(itemsOf).find(({ named: each }) => each?.name === answer.means);
  if (item === undefined) return false;
  if (/cm|in\b|"/.test(figure)) item.height ??= figure;
  else if (item.count === null && !/kg|lb|%/.test(figure)) item.count = figure;
  else item.load ??= figure.replace(/ ?%/, '%');
  return true;
}

const isAnswered = (name: string, words: readonly HouseWord[]): boolean =>
  words.some(({ kind, words: about }) => (kind === 'like' || kind === 'asWritten') && about.toLowerCase() === name.toLowerCase());

/** @param guessed names that were guessed or are not known @param words what was answered before */
export function questionsOf(guessed: readonly Named[], units: readonly UnitAssumed[], words: readonly HouseWord[]): Question[] {
  const names = guessed
    .filter(({ typed, name }) => !isAnswered(typed ?? name, words))
    .map((each) => (each.id === null ? ofUnknown(each.name) : each.typed === undefined ? ofMetres : ofSlip(each.typed, each)));
  const all = [...names, ...units.map(ofUnit)];
  return all.filter(({ asks }, at) => all.findIndex((other) => other.asks === asks) === at);
}

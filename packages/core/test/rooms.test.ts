/** The house: data flows one way between its rooms, and no two files need each other, types included. */
import { describe, expect, test } from '@jest/globals';
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = resolve(dirname(fileURLToPath(import.meta.url)), '../src');
const filesIn = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? filesIn(path) : path.endsWith('.ts') ? [path] : [];
  });
const importsOf = (file: string): string[] =>
  [...readFileSync(file, 'utf8').matchAll(/from\s+'(\.[^']+)'/g)].flatMap(([, to]) => {
    const path = resolve(dirname(file), to!);
    return [`${path}.ts`, join(path, 'index.ts')].filter((each) => existsSync(each));
  });
const graph = new Map(filesIn(root).map((file) => [file, importsOf(file)] as const));

/** The first chain of files that comes back to where it began; null where none does. */
function circle(): string[] | null {
  const clear = new Set<string>();
  const walk = (file: string, way: readonly string[]): string[] | null => {
    if (way.includes(file)) return [...way.slice(way.indexOf(file)), file];
    if (clear.has(file)) return null;
    for (const next of graph.get(file) ?? []) {
      const found = walk(next, [...way, file]);
      if (found) return found;
    }
    clear.add(file);
    return null;
  };
  return [...graph.keys()].reduce<string[] | null>((found, file) => found ?? walk(file, []), null);
}

describe('the rooms of the core', () => {
  test('no two files need each other', () => expect(circle()?.map((file) => relative(root, file)) ?? []).toEqual([]));
  test.each([
    ['stimulus', 'adapt'],
    ['athlete', 'scoring'],
    ['kit', 'athlete'],
    ['simulate', 'stimulus'],
    ['movements', 'workout'],
    ['limits', 'adapt'],
  ])('%s does not know of %s', (room, other) => {
    const inside = (file: string, folder: string): boolean => relative(root, file).startsWith(`${folder}/`);
    const knows = [...graph].filter(([file, to]) => inside(file, room) && to.some((each) => inside(each, other))).map(([file]) => relative(root, file));
    expect(knows).toEqual([]);
  });
});

/** Which file of a folder imports which other, types included. */
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';

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
const packagesOf = (file: string): string[] => [...readFileSync(file, 'utf8').matchAll(/from\s+'([^.'][^']*)'/g)].map(([, name]) => name!);

export interface ImportGraph {
  /** of every file, by its path in the folder: the files it imports */
  readonly files: ReadonlyMap<string, readonly string[]>;
  /** and the packages */
  readonly packages: ReadonlyMap<string, readonly string[]>;
}

export function importGraph(root: string): ImportGraph {
  const files = filesIn(root);
  const name = (file: string): string => relative(root, file);
  return {
    files: new Map(files.map((file) => [name(file), importsOf(file).map(name)])),
    packages: new Map(files.map((file) => [name(file), packagesOf(file)])),
  };
}

/** The first chain of files that comes back to where it began; empty where none does. */
export function firstCircle({ files }: ImportGraph): string[] {
  const clear = new Set<string>();
  const walk = (file: string, way: readonly string[]): string[] | null => {
    if (way.includes(file)) return [...way.slice(way.indexOf(file)), file];
    if (clear.has(file)) return null;
    for (const next of files.get(file) ?? []) {
      const found = walk(next, [...way, file]);
      if (found) return found;
    }
    clear.add(file);
    return null;
  };
  return [...files.keys()].reduce<string[] | null>((found, file) => found ?? walk(file, []), null) ?? [];
}

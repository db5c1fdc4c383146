/** The layers of the server: routes → use cases → stores. A route knows HTTP, a store knows SQL, a use case neither. */
import { describe, expect, test } from '@jest/globals';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { firstCircle, importGraph } from '../../../packages/core/test/import-graph';

const graph = importGraph(dirname(fileURLToPath(import.meta.url)));
const files = (shape: RegExp): string[] => [...graph.files.keys()].filter((file) => shape.test(file) && !file.endsWith('.test.ts'));
const using = (shape: RegExp, what: (file: string) => boolean): string[] => files(shape).filter(what);
const imports = (file: string, name: RegExp): boolean => (graph.packages.get(file) ?? []).some((each) => name.test(each));
const knows = (file: string, name: RegExp): boolean => (graph.files.get(file) ?? []).some((each) => name.test(each));

describe('the layers of the server', () => {
  test('no two files need each other, types included', () => expect(firstCircle(graph)).toEqual([]));
  test('there are routes, use cases and stores to speak of', () => {
    for (const layer of [/routes\.ts$/, /use-cases\.ts$/, /store\.ts$/]) expect(files(layer).length).toBeGreaterThan(4);
  });
  test('a use case knows no HTTP and no SQL', () =>
    expect(
      using(
        /use-cases\.ts$/,
        (file) => imports(file, /^(?:fastify|@fastify|sequelize|mariadb)/) || knows(file, /platform\/(?:models|database|scopes|app)\.ts$/),
      ),
    ).toEqual([]));
  test('a route knows no SQL, no row and no core that computes', () =>
    expect(using(/routes\.ts$/, (file) => imports(file, /^(?:sequelize|mariadb)/) || knows(file, /platform\/(?:models|database|trouble)\.ts$/))).toEqual([]));
  test('only stores, the platform, migrations and the demo’s seed see a row', () => {
    const rows = using(/./, (file) => knows(file, /platform\/(?:models|rows)\.ts$/)).filter((file) => !/store\.ts$/.test(file));
    expect(rows.filter((file) => !/^(?:platform|migrations|demo)\//.test(file))).toEqual([]);
  });
  test('a store knows no HTTP', () =>
    expect(using(/store\.ts$/, (file) => imports(file, /^(?:fastify|@fastify|zod)/) || knows(file, /routes\.ts$/))).toEqual([]));
  test('every route file but those of the door, the page and the catalogue is in the coach’s scope', () => {
    const open = using(/routes\.ts$/, (file) => !knows(file, /platform\/scopes\.ts$/));
    expect(open).toEqual(['catalogue/routes.ts']);
  });
});

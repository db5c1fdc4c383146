/**
 * What a movement needs, as an expression over kit: `bar`, `dumbbell*2`, `(box | stairs) & wall`.
 * `&` binds tighter than `|`. The atoms are the names below; an implement may ask for two with `*2`.
 */
export const needAtoms = [
  'barbell',
  'dumbbell',
  'kettlebell',
  'sandbag',
  'backpack',
  'can',
  'plate',
  'stick',
  'vest',
  'band',
  'bar',
  'lowBar',
  'rings',
  'dipBar',
  'box',
  'rope',
  'row',
  'bike',
  'airBike',
  'ski',
  'route',
  'wall',
  'table',
  'chair',
  'couch',
  'stairs',
  'bench',
  'anchor',
  'object',
  'sled',
  'sliders',
  'climbingRope',
] as const;
export type NeedAtom = (typeof needAtoms)[number];

export type Needs =
  | { readonly kind: 'none' }
  | { readonly kind: 'atom'; readonly atom: NeedAtom; readonly count: number }
  | { readonly kind: 'all'; readonly of: readonly Needs[] }
  | { readonly kind: 'any'; readonly of: readonly Needs[] };

/** Done along a route: its metres are those of the one that is known. */
export const needsRoute = (needs: Needs): boolean => needs.kind === 'atom' && needs.atom === 'route';

const isAtom = (word: string): word is NeedAtom => (needAtoms as readonly string[]).includes(word);

/** @throws {RangeError} on an unknown atom or a stray sign: the catalogue is ours, so this is a caller's bug */
export function parseNeeds(text: string): Needs {
  const tokens = text.match(/[A-Za-z]+(?:\*\d)?|[()&|]/g) ?? [];
  let at = 0;
  const fail = (): never => {
    throw new RangeError(`parseNeeds: cannot read "${text}" at "${tokens[at] ?? 'end'}"`);
  };
  const atom = (): Needs => {
    if (tokens[at] === '(') {
      at++;
      const inner = any();
      if (tokens[at++] !== ')') fail();
      return inner;
    }
    const [word = '', count = '1'] = (tokens[at] ?? '').split('*');
    if (!isAtom(word)) return fail();
    at++;
    return { kind: 'atom', atom: word, count: Number(count) };
  };
  const list = (sign: string, kind: 'all' | 'any', next: () => Needs): Needs => {
    const of = [next()];
    while (tokens[at] === sign) {
      at++;
      of.push(next());
    }
    return of.length === 1 ? of[0]! : { kind, of };
  };
  const all = (): Needs => list('&', 'all', atom);
  const any = (): Needs => list('|', 'any', all);
  if (tokens.length === 0) return { kind: 'none' };
  const parsed = any();
  return at === tokens.length ? parsed : fail();
}

/** What a kit does not meet of the needs: of several things wanted together, those that are missing. */
export function missingOf(needs: Needs, has: (atom: NeedAtom, count: number) => boolean): Needs {
  if (meetsNeeds(needs, has)) return { kind: 'none' };
  if (needs.kind !== 'all') return needs;
  const of = needs.of.map((each) => missingOf(each, has)).filter(({ kind }) => kind !== 'none');
  return of.length === 1 ? of[0]! : { kind: 'all', of };
}

/** Whether a kit, asked by `has(atom, count)`, meets the needs. */
export function meetsNeeds(needs: Needs, has: (atom: NeedAtom, count: number) => boolean): boolean {
  switch (needs.kind) {
    case 'none':
      return true;
    case 'atom':
      return has(needs.atom, needs.count);
    case 'all':
      return needs.of.every((each) => meetsNeeds(each, has));
    case 'any':
      return needs.of.some((each) => meetsNeeds(each, has));
  }
}

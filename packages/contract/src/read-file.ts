/** YAML or JSON text → plain values. YAML 1.2 reads JSON too. */
import { parseDocument } from 'yaml';

export type ReadPlain = { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly problems: readonly string[] };

/** no athlete and no rules are longer */
const mostCharacters = 500_000;

export function readPlain(text: string): ReadPlain {
  if (text.length > mostCharacters) return { ok: false, problems: [`the file has ${text.length} characters; expected at most ${mostCharacters}.`] };
  const document = parseDocument(text);
  if (document.errors.length > 0) return { ok: false, problems: document.errors.map((error) => error.message.split('\n')[0] ?? 'unreadable') };
  try {
    return { ok: true, value: document.toJS({ maxAliasCount: 50 }) as unknown };
  } catch (error) {
    // aliases of aliases: a small file that unfolds to a huge one
    return { ok: false, problems: [`cannot be unfolded: ${error instanceof Error ? error.message : 'unreadable'}`] };
  }
}

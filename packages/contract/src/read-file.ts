/** YAML or JSON text → plain values. YAML 1.2 reads JSON too. */
import { parseDocument } from 'yaml';

export type ReadPlain = { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly problems: readonly string[] };

export function readPlain(text: string): ReadPlain {
  const document = parseDocument(text);
  if (document.errors.length > 0) return { ok: false, problems: document.errors.map((error) => error.message.split('\n')[0] ?? 'unreadable') };
  return { ok: true, value: document.toJS() as unknown };
}

/** A text that is not on the server yet, as this browser keeps it: with the text it began from, so that it never goes over what another window wrote meanwhile. */
import { draftKey } from './untouched';

export interface KeptDraft {
  readonly text: string;
  /** null: kept by an older Gambito, which did not note it */
  readonly from: string | null;
}

export function readDraft(id: number): KeptDraft | null {
  const kept = localStorage.getItem(draftKey(id));
  if (kept === null) return null;
  try {
    const { text, from } = JSON.parse(kept) as Partial<KeptDraft>;
    return typeof text === 'string' ? { text, from: typeof from === 'string' ? from : null } : { text: kept, from: null };
  } catch {
    return { text: kept, from: null };
  }
}
export const keepDraft = (id: number, draft: KeptDraft): void => localStorage.setItem(draftKey(id), JSON.stringify(draft));
export const forgetDraft = (id: number): void => localStorage.removeItem(draftKey(id));

/** Whether the server has another text than the one that the draft began from, and not the draft either. */
export const isBehind = (draft: KeptDraft | null, standing: string): boolean => draft !== null && draft.text !== standing && draft.from !== standing;

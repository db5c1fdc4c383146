/** Versions that read alike, whoever they are for. */
import { pageText, type Adapted } from '@gambito/core';

const texts = new WeakMap<Adapted, string>();
/** As its athlete reads it, without the title; what the coach states for Gambito is left out. */
export function readingOf(adapted: Adapted): string {
  const text = texts.get(adapted) ?? pageText(adapted.workout.parts).trim();
  texts.set(adapted, text);
  return text;
}

interface MaybeAdapted {
  readonly adapted: Adapted | null;
}
/** Those who read the same, together, in the order of the first of each. Those without a version are left out. */
export function alike<Each extends MaybeAdapted>(versions: readonly Each[]): { readonly text: string; readonly versions: readonly Each[] }[] {
  const byText = new Map<string, Each[]>();
  for (const version of versions) {
    if (!version.adapted) continue;
    const text = readingOf(version.adapted);
    byText.set(text, [...(byText.get(text) ?? []), version]);
  }
  return [...byText].map(([text, group]) => ({ text, versions: group }));
}

import { markWords, type Mark } from '@gambito/core';

const tones: Readonly<Record<Mark, string>> = { '!': 'text-good', '!?': 'text-ink', '?!': 'text-amber-ink', '?': 'text-bad' };

/** The annotation mark of a swap, with its words unless the place is too narrow (then they are read out). */
export function MarkSign({ mark, words = true }: { mark: Mark; words?: boolean }) {
  return (
    <span className={`inline-flex items-baseline gap-1 whitespace-nowrap ${tones[mark]}`} title={markWords[mark]}>
      <b className="font-serif">{mark}</b>
      {words ? <span className="text-xs">{markWords[mark]}</span> : <span className="sr-only">{markWords[mark]}</span>}
    </span>
  );
}

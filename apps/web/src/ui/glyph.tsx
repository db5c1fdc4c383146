/** A small sign a pattern, drawn here; always beside a label or read out. */
import { patternWords, type Pattern } from '@gambito/core';

const paths: Readonly<Record<Pattern, string>> = {
  squat: 'M3 3v4l4 3 4-3V3',
  hinge: 'M3 11V6l7-2',
  lunge: 'M3 11l4-6 2 3h3',
  horizontalPush: 'M2 7h8m-3-3 3 3-3 3',
  verticalPush: 'M7 12V3M4 6l3-3 3 3',
  horizontalPull: 'M12 7H4m3-3L4 7l3 3',
  verticalPull: 'M7 2v9M4 8l3 3 3-3',
  trunkFlexion: 'M3 10c0-5 4-7 8-6',
  trunkExtension: 'M3 4c0 5 4 7 8 6',
  trunkRotation: 'M3 7a4 4 0 1 1 2 3.5M3 7l-1.5-2M3 7l2.4-1',
  trunkBrace: 'M2 9h10M2 6h10',
  jump: 'M7 9V3M4.500 5.500 7 3l2.500 2.500M3 12h8',
  rope: 'M2 4c0 9 10 9 10 0M7 4v3',
  run: 'M2 11l3-4 3 2 4-6',
  machine: 'M7 7m-4 0a4 4 0 1 0 8 0 4 4 0 1 0-8 0M7 3v8',
  carry: 'M3 5h8v6H3zM5 5V3h4v2',
  crawl: 'M2 10l3-4 3 4 3-4 1 1',
  groundToOverhead: 'M3 12h8M7 11V2M4 5l3-3 3 3',
  mobility: 'M7 2v10M2 7h10',
};

export function Glyph({ pattern, label = false }: { pattern: Pattern; label?: boolean }) {
  return (
    <span className="inline-flex items-center gap-1 whitespace-nowrap">
      <svg viewBox="0 0 14 14" width="14" height="14" aria-hidden="true">
        <path d={paths[pattern]} fill="none" stroke="currentColor" strokeWidth="1.5" strokeLinecap="round" strokeLinejoin="round" />
      </svg>
      {label ? patternWords[pattern] : <span className="sr-only">{patternWords[pattern]}</span>}
    </span>
  );
}
export const glyphPath = (pattern: Pattern): string => paths[pattern];

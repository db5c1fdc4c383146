/** The class's clock as one figure. */
import { formatClock, type ClassClock } from '@gambito/core';

export function figureOf(clock: ClassClock | null, seconds: number | null): { readonly words: string; readonly figure: string } {
  if (clock === null) return { words: 'No class yet', figure: '–:––' };
  if (seconds === null) return { words: clock.endedAt === null ? 'Open: phones may come in' : 'Ended', figure: '0:00' };
  if (clock.endedAt !== null)
    return { words: 'Ended', figure: formatClock(Math.max(0, Math.floor((clock.endedAt - clock.startedAt! - clock.pausedMs) / 1000))) };
  if (seconds < 0) return { words: 'Get ready', figure: String(Math.ceil(-seconds)) };
  return { words: clock.pausedAt === null ? 'Running' : 'Paused', figure: formatClock(Math.floor(seconds)) };
}

export function ClassFigure({ clock, seconds, className }: { clock: ClassClock | null; seconds: number | null; className: string }) {
  const { words, figure } = figureOf(clock, seconds);
  return (
    <div className="text-center">
      <p className="text-lg text-soft">{words}</p>
      <p role="timer" aria-live="off" className={`font-serif font-semibold leading-none ${className}`}>
        {figure}
      </p>
    </div>
  );
}

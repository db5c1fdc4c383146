import type { ReactNode } from 'react';
import { messageOf } from '../api/client';
import { Button } from './button';

export function Loading({ what = 'Loading' }: { what?: string }) {
  return (
    <p role="status" className="p-6 text-soft">
      {what} …
    </p>
  );
}
export function Failed({ error, retry }: { error: unknown; retry?: () => void }) {
  return (
    <div role="alert" className="flex flex-col items-start gap-3 p-6">
      <p>{messageOf(error)}</p>
      {retry && <Button onClick={retry}>Try again</Button>}
    </div>
  );
}
export function Empty({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div className="flex flex-col items-start gap-3 border-l-4 border-line py-2 pl-5">
      <h2 className="text-lg">{title}</h2>
      {children}
    </div>
  );
}
/** A bar for work that takes longer than a second. */
export function Progress({ done, of, what }: { done: number; of: number; what: string }) {
  if (done >= of) return null;
  return (
    <div role="progressbar" aria-label={what} aria-valuemin={0} aria-valuemax={of} aria-valuenow={done} className="flex items-center gap-2 text-xs text-soft">
      <span>
        {what} {done} of {of}
      </span>
      <span className="h-1.5 w-32 overflow-hidden rounded bg-wash">
        <span className="block h-full bg-ink" style={{ width: `${(100 * done) / Math.max(1, of)}%` }} />
      </span>
    </div>
  );
}

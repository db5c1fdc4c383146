/** What the door of every way in looks like. */
import type { ReactNode } from 'react';

export function Door({ problem, children }: { problem: string | null; children: ReactNode }) {
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center gap-6 px-6">
      <div>
        <img src="/lantern.svg" alt="" width={44} height={44} />
        <h1 className="mt-3 text-3xl">Gambito</h1>
        <p className="mt-1 text-soft">One workout, a version for every athlete’s equipment, and scores that compare.</p>
      </div>
      {children}
      {problem && (
        <p role="alert" className="text-bad">
          {problem}
        </p>
      )}
    </main>
  );
}

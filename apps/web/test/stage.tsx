/** A component on a page of its own: a router, a query client that does not ask twice, and a server that answers what the test says. */
import { jest } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { toast } from 'sonner';
import { Messages } from '../src/ui/messages';
import { justDone } from '../src/ui/toast';

export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
}
export interface Refusal {
  readonly status: number;
  readonly code?: string;
  readonly title: string;
  readonly current?: unknown;
}
/** `GET /me`: what comes back, or what is made of the body that came; a refusal by `refuse` */
export type Answers = Readonly<Record<string, unknown>>;
class Refused {
  constructor(readonly problem: Refusal) {}
}
export const refuse = (problem: Refusal): unknown => new Refused(problem);
/** No network at all. */
export const away = Symbol('away');

/** The server of one test: what it was asked, in order; its answers can be changed on the way. */
export function serverOf(answers: Answers) {
  const asked: Asked[] = [];
  let now: Answers = answers;
  globalThis.fetch = jest.fn(async (address: unknown, options: { method?: string; body?: unknown } = {}) => {
    const { method = 'GET' } = options;
    const path = String(address).replace(/^\/api/, '');
    const body: unknown = typeof options.body === 'string' ? JSON.parse(options.body) : (options.body ?? null);
    asked.push({ method, path, body });
    const known = now[`${method} ${path}`];
    // an answer that is held is a promise
    const answer: unknown = await (typeof known === 'function' ? (known as (body: unknown) => unknown)(body) : known);
    if (answer === away) throw new TypeError('Failed to fetch');
    const problem = answer instanceof Refused ? answer.problem : answer === undefined ? { status: 404, title: `nobody answers ${method} ${path}` } : null;
    const text = JSON.stringify(problem ? { code: 'refused', ...problem } : answer);
    return {
      ok: problem === null,
      status: problem?.status ?? 200,
      headers: { get: () => null },
      text: () => Promise.resolve(text),
      json: () => Promise.resolve(JSON.parse(text) as unknown),
    };
  }) as unknown as typeof fetch;
  return {
    /** all but readings */
    writes: (): Asked[] => asked.filter(({ method }) => method !== 'GET'),
    asked,
    change: (change: Answers): void => void (now = { ...now, ...change }),
  };
}

/** jsdom has no layout: what asks for one gets nothing. */
function withoutLayout(): void {
  class Nothing {
    observe(): void {}
    unobserve(): void {}
    disconnect(): void {}
  }
  Object.assign(globalThis, { ResizeObserver: Nothing });
  Object.assign(window, { matchMedia: () => ({ matches: false, addEventListener: () => undefined, removeEventListener: () => undefined }) });
  Object.assign(Element.prototype, {
    scrollIntoView: () => undefined,
    hasPointerCapture: () => false,
    setPointerCapture: () => undefined,
    releasePointerCapture: () => undefined,
  });
}

/** What everything on it may ask: the coach of the Lanterns. */
export const me = {
  signedIn: true,
  setUp: true,
  demo: false,
  coach: { id: 1, name: 'Maruvel', email: 'maruvel@lanterns.example', timeZone: 'UTC', units: 'kg', firstDay: 1, logByHours: 36, founder: true },
};

/** @param route the pattern of the address, where the component reads it @param at the address */
export function stage(component: ReactElement, { answers = {}, route = '/', at = '/' }: { answers?: Answers; route?: string; at?: string } = {}) {
  withoutLayout();
  cleanup();
  // what was said on the page before
  toast.dismiss();
  justDone.forget();
  const server = serverOf({ 'GET /me': me, ...answers });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false }, mutations: { retry: false } } });
  const user = userEvent.setup();
  const page = (
    <QueryClientProvider client={client}>
      <MemoryRouter initialEntries={[at]}>
        <Routes>
          <Route path={route} element={component} />
          <Route path="*" element={<p>elsewhere</p>} />
        </Routes>
      </MemoryRouter>
      <Messages />
    </QueryClientProvider>
  );
  return { ...render(page), server, user, client };
}

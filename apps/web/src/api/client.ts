/** One way to the server: JSON in, JSON out, failures as problems with a sentence; no request waits in silence. */
import { waitedFor, whatIsAsked } from './in-flight';

export interface ProblemDetails {
  readonly code: string;
  readonly title: string;
  readonly detail?: string;
  readonly status: number;
  readonly current?: unknown;
  readonly fields?: readonly { readonly path: string; readonly message: string }[];
}
export class ApiError extends Error {
  constructor(readonly problem: ProblemDetails) {
    super(problem.detail ? `${problem.title} ${problem.detail}` : problem.title);
  }
}
const offline: ProblemDetails = {
  code: 'offline',
  title: 'The server does not answer. What you typed is kept here; it is sent again when you retry.',
  status: 0,
};

interface Asked {
  readonly method?: string;
  readonly body?: unknown;
}
/** The last answer to each reading, by its tag: asked again, the server says shortly that nothing changed. */
const answers = new Map<string, { tag: string; json: unknown }>();
const mostAnswers = 60;

function remember(path: string, tag: string | null, json: unknown): void {
  answers.delete(path);
  if (tag !== null) answers.set(path, { tag, json });
  const [oldest] = answers.keys();
  if (answers.size > mostAnswers && oldest !== undefined) answers.delete(oldest);
}

/** Asked by the page itself (public/early.js) before there was an application. */
interface Early {
  gambitoEarly?: { readonly path: string; readonly answer: Promise<Response> } | undefined;
}
/** The answer that is on its way already; taken once. A failed one is asked for again. */
async function earlyAnswer(path: string): Promise<Response | null> {
  const page = globalThis as Early;
  const early = page.gambitoEarly;
  if (early?.path !== path) return null;
  page.gambitoEarly = undefined;
  return early.answer.then(
    (response) => (response.ok ? response : null),
    () => null,
  );
}

/** ms after which a reading is given up: it is asked again, and does no harm. A writing is never given up by itself: it may be done all the same. */
const readingPatience = 30_000;
const stopped: ProblemDetails = {
  code: 'stopped',
  title: 'You stopped waiting. It may be done all the same: look before you try again. What you typed is kept here.',
  status: 0,
};
const silent: ProblemDetails = { code: 'silent', title: 'The server did not answer within half a minute. What you typed is kept here.', status: 0 };

/** What ends a request before its answer: whoever waits, or half a minute of a reading. */
function patienceFor(reads: boolean) {
  const controller = new AbortController();
  const timer = reads ? setTimeout(() => controller.abort(new ApiError(silent)), readingPatience) : undefined;
  return { signal: controller.signal, stop: () => controller.abort(new ApiError(stopped)), over: () => clearTimeout(timer) };
}

/** Bytes of changes under way that are sent to their end though the page is left; browsers refuse more than 64 kB of such in all (the Fetch standard). */
const mostKeptAlive = 48_000;
let keptAlive = 0;
/** @returns whether a body may be kept alive, and what to call once it is answered */
function keeping(text: string): { keepalive: boolean; over: () => void } {
  const bytes = new TextEncoder().encode(text).length;
  if (keptAlive + bytes > mostKeptAlive) return { keepalive: false, over: () => undefined };
  keptAlive += bytes;
  return { keepalive: true, over: () => void (keptAlive -= bytes) };
}

async function ask(path: string, { method, body }: Asked): Promise<Response> {
  const reads = method === undefined && body === undefined;
  const tag = reads ? answers.get(path)?.tag : undefined;
  const headers = { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...(tag === undefined ? {} : { 'if-none-match': tag }) };
  const way = method ?? (reads ? 'GET' : 'POST');
  const { signal, stop, over } = patienceFor(reads);
  const text = body === undefined ? undefined : JSON.stringify(body);
  const kept = reads ? { keepalive: false, over: () => undefined } : keeping(text ?? '');
  const request = fetch(`/api${path}`, {
    method: way,
    signal,
    ...(Object.keys(headers).length === 0 ? {} : { headers }),
    ...(text === undefined ? {} : { body: text }),
    keepalive: kept.keepalive,
  });
  try {
    return await waitedFor(whatIsAsked(path, way), request, stop);
  } catch (error) {
    throw error instanceof ApiError ? error : new ApiError(offline);
  } finally {
    over();
    kept.over();
  }
}

/** @throws {ApiError} with the sentence to show */
export async function api<T>(path: string, options: Asked = {}): Promise<T> {
  const reads = options.method === undefined && options.body === undefined;
  const response = (reads ? await earlyAnswer(path) : null) ?? (await ask(path, options));
  const before = answers.get(path);
  if (response.status === 304 && before) return before.json as T;
  const text = await response.text();
  const json = text === '' ? null : (JSON.parse(text) as unknown);
  if (!response.ok)
    throw new ApiError(
      typeof json === 'object' && json !== null && 'title' in json
        ? (json as ProblemDetails)
        : { code: 'failed', title: 'Something went wrong.', status: response.status },
    );
  if (reads) remember(path, response.headers?.get('etag') ?? null, json);
  return json as T;
}

/** Sends a file as it is. @throws {ApiError} */
export async function upload<T>(path: string, file: Blob, type: string): Promise<T> {
  const sent = fetch(`/api${path}`, { method: 'POST', body: file, headers: { 'content-type': type } });
  const response = await waitedFor(whatIsAsked(path, 'POST'), sent).catch(() => {
    throw new ApiError(offline);
  });
  const json = (await response.json().catch(() => null)) as T | ProblemDetails | null;
  if (!response.ok) throw new ApiError((json as ProblemDetails | null) ?? { code: 'failed', title: 'Something went wrong.', status: response.status });
  return json as T;
}

/** All pages of a list, one after the other. @param key what the list is called in the answer */
export async function allPages<T>(path: string, key: string): Promise<T[]> {
  const rows: T[] = [];
  for (let after: number | null = null; ;) {
    const page: Record<string, unknown> & { next: number | null } = await api(after === null ? path : `${path}${path.includes('?') ? '&' : '?'}after=${after}`);
    rows.push(...(page[key] as T[]));
    if (page.next === null) return rows;
    after = page.next;
  }
}
export const messageOf = (error: unknown): string => (error instanceof Error ? error.message : 'Something went wrong.');

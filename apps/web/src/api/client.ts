/** One way to the server: JSON in, JSON out, failures as problems with a sentence. */
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

export async function api<T>(path: string, options: { method?: string; body?: unknown } = {}): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method: options.method ?? (options.body === undefined ? 'GET' : 'POST'),
      ...(options.body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(options.body) }),
    });
  } catch {
    throw new ApiError(offline);
  }
  const text = await response.text();
  const json = text === '' ? null : (JSON.parse(text) as unknown);
  if (!response.ok)
    throw new ApiError(
      typeof json === 'object' && json !== null && 'title' in json
        ? (json as ProblemDetails)
        : { code: 'failed', title: 'Something went wrong.', status: response.status },
    );
  return json as T;
}
export const messageOf = (error: unknown): string => (error instanceof Error ? error.message : 'Something went wrong.');

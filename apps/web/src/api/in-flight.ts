/**
 * What is on its way: requests, parts of the application, answers of the core's workers. Each says in words what is waited for, so that nothing can wait for ever in silence:
 * ui/waiting-note.tsx tells of it after a second, and after ten what it is and how to end it.
 */
export interface Waiting {
  readonly id: number;
  /** ends the sentence “Waiting for …” */
  readonly what: string;
  /** ms, as the page's clock has it */
  readonly since: number;
  /** gives up waiting; absent where nothing can be given up */
  readonly stop?: () => void;
}

let waiting: readonly Waiting[] = [];
let made = 0;
const listeners = new Set<() => void>();
function change(next: readonly Waiting[]): void {
  waiting = next;
  for (const listener of listeners) listener();
}
export const inFlight = {
  now: (): readonly Waiting[] => waiting,
  listen: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  },
};

/** @param what ends the sentence “Waiting for …” */
export async function waitedFor<T>(what: string, work: Promise<T>, stop?: () => void): Promise<T> {
  const id = ++made;
  change([...waiting, { id, what, since: Date.now(), ...(stop ? { stop } : {}) }]);
  try {
    return await work;
  } finally {
    change(waiting.filter((each) => each.id !== id));
  }
}

const nouns: Readonly<Record<string, string>> = {
  a: 'your workout',
  account: 'your account',
  archive: 'the archive of the desk',
  athletes: 'the people of your desk',
  deliveries: 'the messages',
  discomforts: 'what hurt',
  invitations: 'the invitations',
  jobs: 'the versions that are being sent',
  me: 'your account',
  rules: 'the house rules',
  workouts: 'the workout',
};
const parts: Readonly<Record<string, string>> = { board: 'the board', locks: 'your decisions', scores: 'the score', sends: 'the links', class: 'the class' };

/** `PUT /workouts/7/locks` → “the server to save your decisions” */
export function whatIsAsked(path: string, method: string): string {
  const words = path.split(/[/?]/).filter((word) => word !== '' && !/\d/.test(word));
  const noun = words.map((word) => parts[word]).find((word) => word !== undefined) ?? nouns[words[0] ?? ''] ?? 'an answer';
  return `the server to ${method === 'GET' ? 'send' : method === 'DELETE' ? 'delete' : 'save'} ${noun}`;
}

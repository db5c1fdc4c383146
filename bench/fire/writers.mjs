/**
 * Writers on all routes. Each has rows of its own and counts upwards in them, so that afterwards one can tell whether anything that was acknowledged is gone: what stands must be the
 * last acknowledged count or a later one (an answer may be lost on its way when its server dies; the write may then stand or not).
 */
const workoutText = (count) => `# Fire ${count}\nAMRAP 12:00\n8 burpee\n15 air squat\nintent: 8-12 rounds\nnote: ${count}\n`;
const person = (name, count = 0) => ({ name, category: 'women', level: 'trained', body_mass: `${60 + (count % 20)} kg`, notes: `${count}` });
const pause = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds));

/** One coach's way to the server; counts what is answered and how long it takes. @param as another way that is signed in already */
export function visitor(base, tally, as = null) {
  let cookie = as?.cookie() ?? '';
  const visit = async (method, path, body, { quiet = false } = {}) => {
    const began = performance.now();
    try {
      const answer = await fetch(`${base()}/api${path}`, {
        method,
        headers: { ...(cookie ? { cookie } : {}), ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
        signal: AbortSignal.timeout(15_000),
      });
      const set = answer.headers.get('set-cookie');
      if (set) cookie = set.split(';')[0];
      const text = await answer.text();
      const json = /json/.test(answer.headers.get('content-type') ?? '') && text ? JSON.parse(text) : text;
      if (!quiet) tally.note(answer.status, performance.now() - began, json?.code);
      return { status: answer.status, json };
    } catch {
      if (!quiet) tally.note(0, performance.now() - began);
      await pause(50);
      return { status: 0, json: null };
    }
  };
  /** Until it is answered: for what must be known to go on. */
  const surely = async (method, path, body) => {
    for (let tries = 0; tries < 400; tries++) {
      const answer = await visit(method, path, body, { quiet: true });
      if (answer.status > 0 && answer.status < 500 && answer.status !== 429) return answer;
      await pause(100);
    }
    throw new Error(`${method} ${path} was never answered`);
  };
  return { visit, surely, cookie: () => cookie };
}

export function newTally() {
  const statuses = new Map();
  const times = [];
  return {
    statuses,
    times,
    note(status, milliseconds, code) {
      const key = status === 0 ? 'no answer' : status >= 500 ? `${status} ${code ?? ''}` : String(status);
      statuses.set(key, (statuses.get(key) ?? 0) + 1);
      if (status >= 200 && status < 300) times.push(milliseconds);
    },
  };
}

/** Signed in: at the demo's desk, or where there is no demo at a desk of one's own. */
export async function enter({ surely }) {
  if ((await surely('POST', '/demo-login')).status === 200) return;
  await surely('POST', '/set-up', { email: 'fire@lanterns.example', password: 'a long lantern', name: 'Fire', timeZone: 'UTC' });
}

/** Rows for the writers, made while nothing burns. */
export async function prepareDesk(way, writers) {
  const { surely } = way;
  await enter(way);
  const rows = [];
  for (let at = 0; at < writers; at++) {
    const workout = (await surely('POST', '/workouts', { text: workoutText(0) })).json;
    const athlete = (await surely('POST', '/athletes', { file: person(`Fire ${at}`) })).json;
    const { sends } = (await surely('POST', `/workouts/${workout.id}/sends`, { athleteIds: [athlete.id] })).json;
    rows.push({
      workout: workout.id,
      athlete: athlete.id,
      token: sends.find((each) => each.athleteId === athlete.id).token,
      acked: { text: 0, file: 0, score: 0, locks: 0, made: [] },
    });
  }
  return rows;
}

const works = {
  async text({ visit }, row, count) {
    const { status, json } = await visit('GET', `/workouts/${row.workout}`);
    if (status !== 200) return false;
    return (await visit('PUT', `/workouts/${row.workout}`, { text: workoutText(count), revision: json.revision })).status === 200;
  },
  file: async ({ visit }, row, count) => (await visit('PUT', `/athletes/${row.athlete}`, { file: person(`Fire ${row.athlete}`, count) })).status === 200,
  score: async ({ visit }, row, count) => (await visit('POST', `/a/${row.token}/score`, { score: `${6 + (count % 5)}+3`, note: `${count}` })).status === 200,
  locks: async ({ visit }, row, count) =>
    (await visit('PUT', `/workouts/${row.workout}/locks/${row.athlete}`, { locks: [{ part: 0, slot: 0, reps: 5 + count }] })).status === 200,
  async made({ visit }, row, count) {
    const { status, json } = await visit('POST', '/athletes', { file: person(`Made ${row.athlete}.${count}`) });
    if (status === 200) row.acked.made.push(json.id);
    return false;
  },
  async board({ visit }, row) {
    await visit('GET', `/workouts/${row.workout}/board`);
    return false;
  },
};

/** Writes round and round until told to stop. @returns how many were acknowledged */
export async function write(way, row, until) {
  let acknowledged = 0;
  for (let count = 1; !until(); count++)
    for (const kind of Object.keys(works)) {
      if (until()) break;
      if (await works[kind](way, row, count)) {
        row.acked[kind] = count;
        acknowledged++;
      }
    }
  return acknowledged + row.acked.made.length;
}

/** What was acknowledged and does not stand. */
export async function lost({ surely }, rows) {
  const missing = [];
  const people = [];
  for (let after = null; ;) {
    const { json } = await surely('GET', `/athletes${after === null ? '' : `?after=${after}`}`);
    people.push(...json.athletes);
    if (json.next === null) break;
    after = json.next;
  }
  const byId = new Map(people.map((each) => [each.id, each]));
  for (const { workout, athlete, token, acked } of rows) {
    const stands = {
      text: Number(/note: (\d+)/.exec((await surely('GET', `/workouts/${workout}`)).json.text)?.[1] ?? -1),
      file: Number(byId.get(athlete)?.file.notes ?? -1),
      score: Number((await surely('GET', `/a/${token}`)).json.score?.note ?? 0),
      locks: ((await surely('GET', `/workouts/${workout}/locks`)).json.locks.find((each) => each.athleteId === athlete)?.locks[0]?.reps ?? 5) - 5,
    };
    for (const kind of Object.keys(stands))
      if (stands[kind] < acked[kind]) missing.push(`${kind} of workout ${workout}: ${acked[kind]} was acknowledged, ${stands[kind]} stands`);
    for (const id of acked.made) if (!byId.has(id)) missing.push(`athlete ${id} is gone`);
  }
  return missing;
}

export const quantile = (values, share) => [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(share * values.length))] ?? NaN;

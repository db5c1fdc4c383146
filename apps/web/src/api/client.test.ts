import { afterEach, describe, expect, test } from '@jest/globals';
import { allPages, api, ApiError, messageOf } from './client';

const original = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = original;
});
let asked: { url: string; options: RequestInit }[] = [];
/** The server answers this, whatever is asked. */
function answering(body: string, status = 200): void {
  asked = [];
  globalThis.fetch = async (url, options) => {
    asked.push({ url: String(url), options: options ?? {} });
    return new Response(body, { status });
  };
}
const failureOf = async (asking: Promise<unknown>): Promise<ApiError> => {
  try {
    await asking;
  } catch (error) {
    if (error instanceof ApiError) return error;
  }
  throw new Error('expected an ApiError');
};

describe('the way to the server', () => {
  test('asks under /api; a body makes it a POST of JSON, unless another method is named', async () => {
    answering('{"fine":true}');
    expect(await api('/me')).toEqual({ fine: true });
    await api('/workouts', { body: { text: 'x' } });
    await api('/workouts/3', { method: 'PUT', body: { day: null } });
    await api('/workouts/3', { method: 'DELETE' });
    expect(asked.map(({ url, options }) => [url, options.method, options.body ?? null])).toEqual([
      ['/api/me', 'GET', null],
      ['/api/workouts', 'POST', '{"text":"x"}'],
      ['/api/workouts/3', 'PUT', '{"day":null}'],
      ['/api/workouts/3', 'DELETE', null],
    ]);
    expect(asked[1]!.options.headers).toEqual({ 'content-type': 'application/json' });
    expect(asked[3]!.options.headers).toBeUndefined();
  });
  test('a short change is sent to its end though the page is left; a reading is not, nor what browsers refuse to keep', async () => {
    answering('');
    await api('/me');
    await api('/workouts/3', { method: 'PUT', body: { day: '2027-03-04' } });
    await api('/workouts', { body: { text: 'x'.repeat(60_000) } });
    expect(asked.map(({ options }) => options.keepalive)).toEqual([false, true, false]);
  });
  test('of many changes at once so many are kept as browsers allow in all; once they are answered, the next is again', async () => {
    answering('');
    const change = () => api('/workouts/3/locks/1', { method: 'PUT', body: { note: 'é'.repeat(10_000) } });
    await Promise.all([change(), change(), change()]);
    await change();
    expect(asked.map(({ options }) => options.keepalive)).toEqual([true, true, false, true]);
  });
  test('an empty answer is null', async () => {
    answering('');
    expect(await api('/logout', { method: 'POST' })).toBeNull();
  });
  test('a problem keeps its code, and is told in its own sentences', async () => {
    answering(JSON.stringify({ title: 'That is no score for this workout.', detail: '“fast”: expected 7+12.', code: 'bad_score', status: 422 }), 422);
    const failure = await failureOf(api('/a/x/score', { body: {} }));
    expect(failure.problem).toMatchObject({ code: 'bad_score', status: 422 });
    expect(messageOf(failure)).toBe('That is no score for this workout. “fast”: expected 7+12.');
  });
  test('an answer that is no problem of ours is told without particulars', async () => {
    answering('{"oops":1}', 502);
    expect((await failureOf(api('/me'))).problem).toMatchObject({ code: 'failed', status: 502 });
  });
  test('no answer at all says that what was typed is kept', async () => {
    globalThis.fetch = () => Promise.reject(new TypeError('network'));
    const failure = await failureOf(api('/me'));
    expect(failure.problem.code).toBe('offline');
    expect(failure.message).toMatch(/kept here/);
    expect(messageOf('anything else')).toBe('Something went wrong.');
  });
  test('what has not changed since is not sent again: the answer of before stands', async () => {
    asked = [];
    globalThis.fetch = async (url, options) => {
      asked.push({ url: String(url), options: options ?? {} });
      const known = new Headers(options?.headers).get('if-none-match') === '"7"';
      return known ? new Response(null, { status: 304 }) : new Response('{"rows":3}', { headers: { etag: '"7"' } });
    };
    expect(await api('/workouts/7/board')).toEqual({ rows: 3 });
    expect(await api('/workouts/7/board')).toEqual({ rows: 3 });
    expect(asked.map(({ options }) => new Headers(options.headers).get('if-none-match'))).toEqual([null, '"7"']);
  });
  test('what the page asked for before there was an application is taken, once; a failed one is asked for again', async () => {
    const early = (answer: Promise<Response>): void => void Object.assign(globalThis, { gambitoEarly: { path: '/a/link', answer } });
    answering('{"later":true}');
    early(Promise.resolve(new Response('{"early":true}')));
    expect(await api('/a/other')).toEqual({ later: true });
    expect(await api('/a/link')).toEqual({ early: true });
    expect(await api('/a/link')).toEqual({ later: true });
    early(Promise.resolve(new Response('{}', { status: 503 })));
    expect(await api('/a/link')).toEqual({ later: true });
    early(Promise.reject(new TypeError('network')));
    expect(await api('/a/link')).toEqual({ later: true });
    // a writing is never answered by it
    early(Promise.resolve(new Response('{"early":true}')));
    expect(await api('/a/link', { method: 'PUT', body: {} })).toEqual({ later: true });
    Object.assign(globalThis, { gambitoEarly: undefined });
  });
  test('a list comes a page at a time', async () => {
    asked = [];
    globalThis.fetch = async (url) => {
      asked.push({ url: String(url), options: {} });
      return new Response(JSON.stringify(String(url).endsWith('after=2') ? { rows: [3], next: null } : { rows: [1, 2], next: 2 }));
    };
    expect(await allPages<number>('/rows', 'rows')).toEqual([1, 2, 3]);
    expect(asked.map(({ url }) => url)).toEqual(['/api/rows', '/api/rows?after=2']);
    asked = [];
    await allPages<number>('/rows?results=no', 'rows');
    expect(asked.map(({ url }) => url)).toEqual(['/api/rows?results=no', '/api/rows?results=no&after=2']);
  });
});

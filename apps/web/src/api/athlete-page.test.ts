import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { QueryClient } from '@tanstack/react-query';
import { pageBefore } from './athlete-page';

const original = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = original;
  jest.useRealTimers();
});
const token = 'q'.repeat(32);
const client = () => new QueryClient({ defaultOptions: { queries: { retry: false } } });

describe('the page before the first drawing', () => {
  test.each([`/a/${token}`, `/a/${token}/clock`])('%s: is there', async (address) => {
    globalThis.fetch = async () => new Response('{"brief":1}');
    const queries = client();
    await pageBefore(queries, address);
    expect(queries.getQueryData(['a', token])).toEqual({ brief: 1 });
  });
  test.each(['/', '/a/own/abc', '/a/short', `/workouts/${token}`])('%s asks for nothing', async (address) => {
    globalThis.fetch = () => Promise.reject(new Error('asked'));
    const queries = client();
    await pageBefore(queries, address);
    expect(queries.getQueryCache().getAll()).toEqual([]);
  });
  test('without a network it is drawn all the same', async () => {
    globalThis.fetch = () => Promise.reject(new TypeError('network'));
    await expect(pageBefore(client(), `/a/${token}`)).resolves.toBeUndefined();
  });
  test('a server that takes long is not waited for', async () => {
    jest.useFakeTimers();
    globalThis.fetch = () => new Promise(() => undefined);
    const drawn = pageBefore(client(), `/a/${token}`);
    await jest.advanceTimersByTimeAsync(600);
    await expect(drawn).resolves.toBeUndefined();
  });
});

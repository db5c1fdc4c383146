/** A part of the application that is fetched when it is wanted. While it is on its way, whoever waits is told what for; one that did not come is fetched once more before it counts as failed. */
import { lazy, type ComponentType } from 'react';
import { waitedFor } from '../api/in-flight';

/** @param what ends the sentence “Waiting for …” */
export const part = <Props extends object>(what: string, fetched: () => Promise<ComponentType<Props>>) =>
  lazy(async () => ({ default: await waitedFor(what, fetched().catch(fetched)) }));

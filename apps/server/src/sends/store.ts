/** What was sent to whom, behind which link. A link opens one athlete's version of one workout and nothing else. */
import type { Brief, StoredSend } from '@gambito/contract';
import { randomBytes } from 'node:crypto';
import { Problem } from '../platform/errors';
import { SendRow } from '../platform/models';
import type { MadeBrief } from './brief';

const show = (row: SendRow, text: string): StoredSend => ({
  id: row.id,
  athleteId: row.athleteId,
  token: row.token,
  sentAt: row.sentAt.toISOString(),
  revoked: row.revokedAt !== null,
  changed: row.originalText !== text,
});

export async function listSends(workoutId: number, text: string): Promise<StoredSend[]> {
  return (await SendRow.findAll({ where: { workoutId }, order: [['id', 'ASC']] })).map((row) => show(row, text));
}

/** Sends or sends again: the link stays while it is alive; a withdrawn one is replaced by a new one. */
export async function send(workoutId: number, athleteId: number, originalText: string, made: MadeBrief, now: Date): Promise<StoredSend> {
  const fresh = { originalText, versionText: made.versionText, brief: made.brief, sentAt: now, revokedAt: null };
  const row = await SendRow.findOne({ where: { workoutId, athleteId } });
  if (!row) return show(await SendRow.create({ workoutId, athleteId, token: newToken(), ...fresh }), originalText);
  await row.update({ ...fresh, ...(row.revokedAt ? { token: newToken() } : {}) });
  return show(row, originalText);
}

/** 192 bits, so that nobody guesses it */
const newToken = (): string => randomBytes(24).toString('base64url');

export async function revoke(workoutId: number, id: number, now: Date): Promise<void> {
  const row = await SendRow.findOne({ where: { id, workoutId } });
  if (!row) throw new Problem('not_found');
  await row.update({ revokedAt: now });
}

export async function openLink(token: string): Promise<SendRow> {
  const row = await SendRow.findOne({ where: { token } });
  if (!row) throw new Problem('not_found');
  if (row.revokedAt) throw new Problem('link_gone');
  return row;
}

export const briefOfRow = (row: SendRow): Brief => row.brief as Brief;

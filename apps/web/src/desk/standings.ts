/** Where everybody stands with a workout, from what a coach has to do first to what is done. */
import type { Board, StoredAthlete, StoredSend } from '../api/types';

export const standingKinds = ['held', 'changed', 'notSent', 'notOpened', 'notLogged', 'logged'] as const;
export type StandingKind = (typeof standingKinds)[number];
export const standingWords: Readonly<Record<StandingKind, string>> = {
  held: 'held back: goes against a limit, the kit or the place by now',
  changed: 'sent before the last change of the workout',
  notSent: 'not sent',
  notOpened: 'not opened',
  notLogged: 'opened, not logged',
  logged: 'logged',
};

export interface Standing {
  readonly athleteId: number;
  readonly name: string;
  readonly kind: StandingKind;
  /** the score with its index or place; empty where nothing is logged */
  readonly score: string;
  /** said with the score */
  readonly note: string;
  /** asked for on the day; empty where nothing was said */
  readonly today: string;
}

/** `8+5 · index 104`, or with several scores the place in the day; null where nothing was logged. */
function loggedOf({ boards, day }: Board, athleteId: number): Pick<Standing, 'score' | 'note'> | null {
  const ofDay = day?.find((row) => row.athleteId === athleteId);
  if (ofDay) return { score: `${ofDay.entry} · place ${ofDay.rank}`, note: ofDay.note };
  const row = boards[0]?.rows.find((other) => other.athleteId === athleteId);
  return row ? { score: `${row.score}${row.index === null ? '' : ` · index ${Math.round(row.index)}`}`, note: row.note } : null;
}

function kindOf(send: StoredSend | undefined): Exclude<StandingKind, 'logged'> {
  if (!send || send.revoked) return 'notSent';
  if (send.against.length > 0) return 'held';
  if (send.changed) return 'changed';
  return send.opened ? 'notLogged' : 'notOpened';
}

/** In the order of the kinds; within one as the people come. */
export function standingsOf(athletes: readonly Pick<StoredAthlete, 'id' | 'name'>[], sends: readonly StoredSend[], board: Board | undefined): Standing[] {
  const standings = athletes.map(({ id, name }): Standing => {
    const logged = board ? loggedOf(board, id) : null;
    const send = sends.find(({ athleteId }) => athleteId === id);
    return {
      athleteId: id,
      name,
      kind: logged ? 'logged' : kindOf(send),
      score: logged?.score ?? '',
      note: logged?.note ?? '',
      today: send?.today ?? '',
    };
  });
  return standingKinds.flatMap((kind) => standings.filter((standing) => standing.kind === kind));
}
export const countOf = (standings: readonly Standing[], kind: StandingKind): number => standings.filter((standing) => standing.kind === kind).length;

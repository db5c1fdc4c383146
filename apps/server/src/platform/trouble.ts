/** What can go wrong between here and a database, told apart by what helps: another try, another database, or nothing. */
interface DatabaseError {
  readonly name?: string;
  readonly code?: string | null;
  readonly errno?: number;
  readonly original?: DatabaseError;
  readonly parent?: DatabaseError;
  readonly message?: string;
}
const errorOf = (error: unknown): DatabaseError => (typeof error === 'object' && error !== null ? (error as DatabaseError) : {});
const rootOf = (error: unknown): DatabaseError => {
  const own = errorOf(error);
  return own.original ?? own.parent ?? own;
};

/** deadlock (also: certification failed on another node), lock wait, record changed, duplicate key */
const conflicts = new Set([1213, 1205, 1020]);
/** server shutting down, gone, lost, too many connections, not (yet) part of the cluster, or no more at the moment of a commit */
const away = new Set([1053, 1040, 1047, 1152, 1180, 1184, 1927, 2006, 2013]);
const awayCodes =
  /^(?:ECONN|EPIPE|ETIMEDOUT|EHOST|ENOTFOUND|ER_(?:SOCKET|CONNECTION|CMD_CONNECTION|GET_CONNECTION|PARSE|UNKNOWN_COMMAND|NO_SUCH_CONN|CONNECTION_TIMEOUT)|PROTOCOL)/;
const awayNames = /^Sequelize(?:Connection|HostNot|AccessDenied|InvalidConnection).*Error$|^ConnectionAcquireTimeoutError$/;

/** Somebody else was quicker: the same again, from the start, may work. */
export const isConflict = (error: unknown): boolean => conflicts.has(rootOf(error).errno ?? 0);
export const isDuplicate = (error: unknown): boolean => errorOf(error).name === 'SequelizeUniqueConstraintError' || rootOf(error).errno === 1062;
/** The database does not answer, or not yet. */
export function isAway(error: unknown): boolean {
  const { name = '' } = errorOf(error);
  const { code, errno } = rootOf(error);
  return awayNames.test(name) || away.has(errno ?? 0) || (typeof code === 'string' && awayCodes.test(code));
}
/** Nothing was asked of the database yet when this came: asking again cannot do anything twice. */
export function isBeforeAsking(error: unknown): boolean {
  const { name = '' } = errorOf(error);
  return awayNames.test(name) || [1040, 1047].includes(rootOf(error).errno ?? 0);
}
/** The database takes no writing: its disk is full or nearly so, or it was set so. */
export const isFull = (error: unknown): boolean =>
  [1021, 1114, 28, 1290, 1836].includes(rootOf(error).errno ?? 0) || /No space left|is full/i.test(rootOf(error).message ?? '');
/** Longer than a query may take. */
export const isSlow = (error: unknown): boolean => [1969, 3024].includes(rootOf(error).errno ?? 0);

const pause = (milliseconds: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, milliseconds));

/** a conflict is begun again so often and then told; a database that is away is asked for so long */
const conflictTries = 3;
const awayMilliseconds = 4_000;

/**
 * Runs it again where that may help: after a conflict, and while no database answers, as long as nothing was asked of one.
 * @param again whether asking twice does no harm (a read; a write decided by a unique key)
 */
export async function persistently<T>(run: () => Promise<T>, again: boolean): Promise<T> {
  const began = Date.now();
  for (let tries = 1; ; tries++) {
    try {
      return await run();
    } catch (error) {
      const mayTry = isConflict(error) ? tries <= conflictTries : isAway(error) && (again || isBeforeAsking(error)) && Date.now() - began < awayMilliseconds;
      if (!mayTry) throw error;
      await pause(isConflict(error) ? 5 * tries + 20 * Math.random() : 150);
    }
  }
}

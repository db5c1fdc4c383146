/** A failure a person can act on: one clear sentence, exit 1, no stack. */
export class Refusal extends Error {}

export const say = (text) => process.stdout.write(`${text}\n`);

/** What the system refused, as a sentence: code → what is the matter with the path. */
const ofSystem = {
  EACCES: 'may not be read or written by this user. Give the right to it',
  EPERM: 'may not be changed by this user. Give the right to it',
  EROFS: 'lies on a disk that takes no writing. Make it writable',
  ENOTDIR: 'is a file, or lies below one, where a folder was expected. Move it away',
  EEXIST: 'is a file where a folder was expected. Move it away',
  ENOSPC: 'lies on a disk that is full. Make room',
  EDQUOT: 'lies on a disk of which you have used your share. Make room',
  ENAMETOOLONG: 'is too long a name. Take a shorter one',
  ELOOP: 'is a link that leads to itself. Mend it',
  EIO: 'lies on a disk that does not answer. Look after the disk',
};
const sentenceOf = ({ code, path }) => (ofSystem[code] && path ? `${path} ${ofSystem[code]}, or choose another folder: --data DIRECTORY.` : null);

export async function orRefuse(run) {
  try {
    await run();
  } catch (error) {
    process.stderr.write(`${error instanceof Refusal ? error.message : (sentenceOf(error ?? {}) ?? error?.stack ?? error)}\n`);
    process.exitCode = 1;
  }
}

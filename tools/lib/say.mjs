/** A failure a person can act on: one clear sentence, exit 1, no stack. */
export class Refusal extends Error {}

export const say = (text) => process.stdout.write(`${text}\n`);

export async function orRefuse(run) {
  try {
    await run();
  } catch (error) {
    process.stderr.write(`${error instanceof Refusal ? error.message : (error?.stack ?? error)}\n`);
    process.exitCode = 1;
  }
}

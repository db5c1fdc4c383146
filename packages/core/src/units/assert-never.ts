/** The end of an exhaustive switch: a new member of a union does not compile until it is handled. */
export function assertNever(value: never, where: string): never {
  throw new RangeError(`${where}: unexpected ${JSON.stringify(value)}`);
}

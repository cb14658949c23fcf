/** Closes a union: the compiler refuses an unhandled case, and a stray value at run time is named. */
export function never(value: never, where: string): never {
  throw new Error(`${where}: unhandled case ${JSON.stringify(value)}`);
}

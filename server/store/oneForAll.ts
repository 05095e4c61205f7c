/**
 * Work that comes to the same for all who ask for it at one moment: it is done once, and a caller who asks meanwhile
 * waits for that. Who asks later has it done anew.
 */
export function oneForAll<Asked extends unknown[], Result>(
  work: (...asked: Asked) => Promise<Result>,
): (...asked: Asked) => Promise<Result> {
  let underWay: Promise<Result> | null = null
  return (...asked) => {
    underWay ??= work(...asked).finally(() => {
      underWay = null
    })
    return underWay
  }
}

import type { Ladder } from '../../core/ladder'
import { FIRST_LADDER, type LadderVersion } from '../../contract/progress'
import { allVersions, keepVersion, LADDER, newestVersion, type KeptVersion, type VersionSaver } from './versioned'

const toLadder = ({ version, content, saved }: KeptVersion<Ladder>): LadderVersion => ({
  version,
  ladder: content,
  saved,
})

/** The ladder in force. */
export async function currentLadder(): Promise<LadderVersion> {
  const kept = await newestVersion<Ladder>(LADDER)
  return kept ? toLadder(kept) : FIRST_LADDER
}

/** The ladders there were before, newest first: coupons name rungs as they were called on their day. */
export async function formerLadders(): Promise<Ladder[]> {
  const kept = (await allVersions<Ladder>(LADDER)).map(one => one.content)
  return [FIRST_LADDER.ladder, ...kept].reverse().slice(1)
}

/** Keeps a ladder as the version after the one it was edited from; null when a newer one is saved already. */
export async function keepLadder(
  baseVersion: number,
  ladder: Ladder,
  saver: VersionSaver,
): Promise<LadderVersion | null> {
  const kept = await keepVersion<Ladder>(LADDER, { baseVersion, content: ladder }, saver)
  return kept ? toLadder(kept) : null
}

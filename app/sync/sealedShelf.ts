import type { Intent } from './intents'
import type { createSeal, Sealed } from './seal'
import type { Shelf } from './shelf'

type Seal = Pick<ReturnType<typeof createSeal>, 'seal' | 'open'>

/** What of an intent stands in the clear: whose it is, and which; not of whom it speaks, nor what it says. */
type Cover = Pick<Intent, 'kind' | 'id' | 'owner' | 'madeAt' | 'turn'>
type Within = Omit<Intent, keyof Cover>
type Kept = Intent | (Cover & { readonly sealed: Sealed })

const isSealed = (kept: Kept): kept is Cover & { readonly sealed: Sealed } => 'sealed' in kept

/**
 * A shelf on which what an account leaves is sealed for that account. What cannot be opened here stays where it is, for
 * its owner's next sign-in; where nothing can be sealed it is kept as it is.
 */
export function sealedShelf(shelf: Shelf, { seal, open }: Seal): Shelf {
  return {
    drop: shelf.drop,
    keep: async intent => {
      const { kind, id, owner, madeAt, turn, ...within } = intent
      const sealed = await seal(owner, within)
      await shelf.keep(sealed ? ({ kind, id, owner, madeAt, turn, sealed } as unknown as Intent) : intent)
    },
    all: async () => {
      const kept = (await shelf.all()) as readonly Kept[]
      const opened = await Promise.all(
        kept.map(async one => {
          if (!isSealed(one)) return [one]
          const within = await open<Within>(one.owner, one.sealed)
          const { sealed: _, ...cover } = one
          return within ? [{ ...cover, ...within }] : []
        }),
      )
      return opened.flat()
    },
  }
}

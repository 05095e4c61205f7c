import { describe, expect, it } from 'vitest'
import { createDelivery } from './delivery'
import { keyOf, type Intent } from './intents'
import { RequestFailure } from './requestFailure'
import { createSeal, type KeyShelf } from './seal'
import { sealedShelf } from './sealedShelf'
import type { Shelf } from './shelf'

const KEYS: Readonly<Record<string, string>> = {
  maren: btoa('m'.repeat(32)),
  tobias: btoa('t'.repeat(32)),
}

/** A browser that several people use: what lies in it, and whose key. */
function aBrowser() {
  const held = new Map<string, Intent>()
  const kept: { now?: Awaited<ReturnType<KeyShelf['get']>> } = {}
  const shelf: Shelf = {
    all: async () => [...held.values()],
    // As a browser keeps it: plain data alone.
    keep: async intent => void held.set(keyOf(intent), JSON.parse(JSON.stringify(intent)) as Intent),
    drop: async key => void held.delete(key),
  }
  const keys: KeyShelf = {
    get: async () => kept.now,
    set: async key => void (kept.now = key),
    clear: async () => void delete kept.now,
  }
  return { held, shelf, openPage: () => createSeal(globalThis.crypto.subtle, keys) }
}
const intent = (owner: string): Intent => ({
  kind: 'remark',
  id: 'a',
  body: { says: 'Bring gloves' },
  student: 'Oriel Tamsin',
  about: 'remark',
  owner,
  madeAt: '2026-10-05T18:00:00.000Z',
  turn: 1,
  refused: null,
})
const askOf = (account: string) => () => Promise.resolve(KEYS[account]!)

describe('what waits in a shared browser', () => {
  it('is sealed: nothing of whom it speaks or what it says lies there', async () => {
    const { held, shelf, openPage } = aBrowser()
    const seal = openPage()
    await seal.begin('maren', askOf('maren'))
    await sealedShelf(shelf, seal).keep(intent('maren'))
    const lies = JSON.stringify([...held.values()])
    expect(lies).not.toMatch(/gloves|Oriel/)
    expect(await sealedShelf(shelf, seal).all()).toEqual([intent('maren')])
  })

  it('is opened by its owner’s next sign-in, after a reload too, and by nobody else’s', async () => {
    const { held, shelf, openPage } = aBrowser()
    const first = openPage()
    await first.begin('maren', askOf('maren'))
    await sealedShelf(shelf, first).keep(intent('maren'))
    // A reload without a server: the key lies in the browser while somebody is signed in.
    const reloaded = openPage()
    expect(await reloaded.begin('maren', () => Promise.reject(new RequestFailure(0, 'away')))).toBe(true)
    expect(await sealedShelf(shelf, reloaded).all()).toHaveLength(1)
    await reloaded.end()
    const other = openPage()
    await other.begin('tobias', askOf('tobias'))
    expect(await sealedShelf(shelf, other).all()).toEqual([])
    // It is still there, and none of the other's doing takes it away.
    expect(held.size).toBe(1)
    await other.end()
    const again = openPage()
    await again.begin('maren', askOf('maren'))
    expect(await sealedShelf(shelf, again).all()).toEqual([intent('maren')])
  })

  it('is sent by its owner alone', async () => {
    const { shelf, openPage, held } = aBrowser()
    const sent: string[] = []
    const deliveryOf = (seal: ReturnType<typeof createSeal>, away: boolean) =>
      createDelivery({
        shelf: sealedShelf(shelf, seal),
        ask: async (_, path, { body }) => {
          if (away) throw new RequestFailure(0, 'away')
          sent.push(`${path} ${JSON.stringify(body)}`)
        },
        changed: () => {},
        saved: () => {},
        now: () => new Date(),
      })
    const turnOf = async (account: string, away: boolean) => {
      const seal = openPage()
      await seal.begin(account, askOf(account))
      const delivery = deliveryOf(seal, away)
      await delivery.takeUp(account)
      return { delivery, end: seal.end }
    }
    const maren = await turnOf('maren', true)
    await maren.delivery.send({ kind: 'remark', id: 'a', body: { says: 'x' }, student: '', about: '' })
    await maren.end()
    const tobias = await turnOf('tobias', false)
    await tobias.delivery.retry()
    await tobias.end()
    expect([sent, held.size]).toEqual([[], 1])
    const back = await turnOf('maren', false)
    await back.delivery.retry()
    expect(sent).toEqual(['/api/remarks/a {"says":"x"}'])
    expect(held.size).toBe(0)
  })

  it('is kept as it is where a browser cannot seal', async () => {
    const { held, shelf } = aBrowser()
    const none = createSeal(undefined, { get: async () => undefined, set: async () => {}, clear: async () => {} })
    expect(await none.begin('maren', askOf('maren'))).toBe(false)
    await sealedShelf(shelf, none).keep(intent('maren'))
    expect([...held.values()]).toEqual([intent('maren')])
  })
})

import { describe, expect, it } from 'vitest'
import { RequestFailure } from './requestFailure'
import { createDelivery } from './delivery'
import { keyOf, type Intent, type MadeIntent } from './intents'
import type { Shelf } from './shelf'

const AWAY = new RequestFailure(0, 'The server does not answer.')

/** A shelf in memory; `full` stands for a browser that will not keep anything. */
function aShelf(full = false): Shelf & { readonly held: Map<string, Intent> } {
  const held = new Map<string, Intent>()
  return {
    held,
    all: async () => [...held.values()],
    keep: async intent => {
      if (full) throw new DOMException('full', 'QuotaExceededError')
      held.set(keyOf(intent), intent)
    },
    drop: async key => void held.delete(key),
  }
}

type Put = (path: string, body: unknown) => Promise<unknown>

async function aDelivery(put: Put, shelf = aShelf(), owner = 'tobias') {
  const seen = { waiting: [] as readonly Intent[], keptAt: 'here', saved: [] as unknown[] }
  const delivery = createDelivery({
    shelf,
    ask: (_, path, { body }) => put(path, body),
    changed: (waiting, keptAt) => Object.assign(seen, { waiting, keptAt }),
    saved: (_, answer) => seen.saved.push(answer),
    now: () => new Date('2026-10-05T18:00:00Z'),
  })
  await delivery.takeUp(owner)
  return { ...delivery, seen, shelf }
}

const coupon = (id: string, notes = ''): MadeIntent => ({
  kind: 'coupon',
  id,
  body: { baseVersion: 0, notes },
  student: 'Oriel Tamsin',
  about: 'Flat pad',
})
const ofTest = (notes: string, baseVersion = 0): MadeIntent => ({
  kind: 'welder test',
  id: 't',
  body: { baseVersion, notes },
  student: 'Oriel Tamsin',
  about: 'test, 3G',
})

/** A server that counts versions and refuses a save that does not stand on the last one, but for the same again. */
function aServer() {
  const rows = new Map<string, { version: number; notes: string }>()
  const put: Put = async (path, body) => {
    const { baseVersion, notes } = body as { baseVersion: number; notes: string }
    const row = rows.get(path)
    if (row && row.notes === notes && row.version === baseVersion + 1) return row
    if ((row?.version ?? 0) !== baseVersion) throw new RequestFailure(409, 'Saved meanwhile', [], { theirs: row })
    const next = { version: baseVersion + 1, notes }
    rows.set(path, next)
    return next
  }
  return { rows, put }
}

describe('sending', () => {
  it('keeps it before it is sent, and clears it only when the server has answered', async () => {
    const shelf = aShelf()
    let heldMeanwhile = 0
    const { send } = await aDelivery(async () => {
      heldMeanwhile = shelf.held.size
      return { version: 1 }
    }, shelf)
    expect(await send(coupon('a'))).toEqual({ is: 'saved', answer: { version: 1 } })
    expect(heldMeanwhile).toBe(1)
    expect(shelf.held.size).toBe(0)
  })
  it('is answered to its page where the browser is slow to keep it, and everything is tried again meanwhile', async () => {
    const shelf = aShelf()
    let kept = () => {}
    const slow: Shelf = {
      ...shelf,
      keep: async intent => {
        await new Promise<void>(resolve => {
          kept = resolve
        })
        await shelf.keep(intent)
      },
    }
    const server = aServer()
    const { send, retry, seen } = await aDelivery(server.put, { ...slow, held: shelf.held })
    for (const [version, notes] of ['first', 'second'].entries()) {
      const sending = send({ ...coupon('a'), body: { baseVersion: version, notes } })
      await retry()
      kept()
      expect(await sending).toEqual({ is: 'saved', answer: { version: version + 1, notes } })
    }
    expect(seen.waiting).toEqual([])
    expect([...server.rows.values()]).toEqual([{ version: 2, notes: 'second' }])
  })
  it('waits while the server is away or cannot work, and goes when it is asked again', async () => {
    const server = aServer()
    let away: RequestFailure | null = AWAY
    const { send, retry, seen } = await aDelivery((path, body) =>
      away ? Promise.reject(away) : server.put(path, body),
    )
    expect((await send(coupon('a'))).is).toBe('kept here')
    away = new RequestFailure(503, 'The database is away.')
    await retry()
    expect(seen.waiting.map(one => one.refused)).toEqual([null])
    away = null
    await retry()
    expect(seen.waiting).toEqual([])
    expect(server.rows.get('/api/coupons/a')).toEqual({ version: 1, notes: '' })
  })
  it('what is to be taken away is asked for so, after what it takes away', async () => {
    const asked: string[] = []
    let away = true
    const { takeUp, send, retry } = createDelivery({
      shelf: aShelf(),
      ask: async (method, path) => {
        if (away) throw AWAY
        asked.push(`${method} ${path}`)
      },
      changed: () => {},
      saved: () => {},
      now: () => new Date('2026-10-05T18:00:00Z'),
    })
    await takeUp('tablet')
    const said = { student: '', about: '' }
    await send({ kind: 'ready', id: 'w', body: { studentId: 's' }, ...said })
    await send({ kind: 'not ready', id: 'w', body: null, ...said })
    away = false
    await retry()
    expect(asked).toEqual(['PUT /api/waiting/w', 'DELETE /api/waiting/w'])
  })
  it('what was changed while it was on its way goes after it, on the version that was just saved', async () => {
    const server = aServer()
    const answers: (() => void)[] = []
    const { send, seen } = await aDelivery(async (path, body) => {
      await new Promise<void>(done => answers.push(done))
      return server.put(path, body)
    })
    const first = send(ofTest('one'))
    await expect.poll(() => answers.length).toBe(1)
    const second = send(ofTest('two'))
    await new Promise(done => setTimeout(done))
    answers[0]!()
    await expect.poll(() => answers.length).toBe(2)
    answers[1]!()
    await Promise.all([first, second])
    expect(server.rows.get('/api/tests/t')).toEqual({ version: 2, notes: 'two' })
    expect(seen.waiting).toEqual([])
  })
  it('a change made in the moment the answer is being cleared is sent too', async () => {
    const server = aServer()
    const shelf = aShelf()
    const { send } = await aDelivery(server.put, {
      ...shelf,
      drop: async key => {
        await new Promise(done => setTimeout(done, 5))
        await shelf.drop(key)
      },
    })
    const first = send(ofTest('one'))
    await expect.poll(() => server.rows.size).toBe(1)
    await Promise.all([first, send(ofTest('two', 1))])
    expect(server.rows.get('/api/tests/t')!.notes).toBe('two')
  })
})

describe('what the server will not take', () => {
  it('a conflict carries theirs; a coupon is the page’s again, a test stays here with the reason', async () => {
    const theirs = { version: 4, notes: 'theirs' }
    const { send, seen } = await aDelivery(() =>
      Promise.reject(new RequestFailure(409, 'Maren Holt saved it meanwhile', [], { theirs })),
    )
    expect(await send(coupon('a'))).toEqual({ is: 'conflict', theirs })
    expect(seen.waiting).toEqual([])
    expect((await send(ofTest('x'))).is).toBe('conflict')
    expect(seen.waiting.map(one => one.refused)).toEqual(['Maren Holt saved it meanwhile'])
  })
  it('tried again by itself it stays, says why, and holds nothing up behind it', async () => {
    const server = aServer()
    let away = true
    const { send, retry, seen } = await aDelivery(async (path, body) => {
      if (away) throw AWAY
      if (path.endsWith('/bad')) throw new RequestFailure(422, 'Notes are too long.')
      if (path.endsWith('/ill')) throw new RequestFailure(500, 'The server could not do this.')
      return server.put(path, body)
    })
    for (const id of ['bad', 'ill', 'good']) await send(coupon(id))
    away = false
    await retry()
    expect(seen.waiting.map(({ id, refused }) => [id, refused])).toEqual([
      ['bad', 'Notes are too long.'],
      ['ill', null],
    ])
    expect([...server.rows.keys()]).toEqual(['/api/coupons/good'])
  })
  it('is put right and sent again; what is not taken still says why anew, and what is cut off waits', async () => {
    const server = aServer()
    let away = true
    const { send, retry, sendAgain, seen } = await aDelivery(async (path, body) => {
      if (away) throw AWAY
      if ((body as { notes: string }).notes.length > 3) throw new RequestFailure(422, 'Notes are too long.')
      return server.put(path, body)
    })
    const one = { kind: 'coupon', id: 'a' } as const
    await send(coupon('a', 'far too long'))
    away = false
    await retry()
    await sendAgain(one, { baseVersion: 0, notes: 'still too long' })
    expect(seen.waiting.map(({ refused }) => refused)).toEqual(['Notes are too long.'])
    away = true
    await sendAgain(one, { baseVersion: 0, notes: 'ok' })
    expect(seen.waiting.map(({ refused }) => refused)).toEqual([null])
    away = false
    await retry()
    expect(seen.waiting).toEqual([])
    expect(server.rows.get('/api/coupons/a')).toEqual({ version: 1, notes: 'ok' })
  })
  it('signed out, everything waits for the sign-in', async () => {
    const { send, seen } = await aDelivery(() => Promise.reject(new RequestFailure(401, 'Sign in first.')))
    expect((await send(coupon('a'))).is).toBe('kept here')
    expect((await send(ofTest('x'))).is).toBe('kept here')
    expect(seen.waiting.map(one => [one.kind, one.refused])).toEqual([
      ['coupon', null],
      ['welder test', null],
    ])
  })
})

describe('several pages of one browser', () => {
  it('what is on its way to the shelf is not taken for gone when the shelf is looked at meanwhile', async () => {
    const server = aServer()
    const shelf = aShelf()
    const slow: Shelf = {
      ...shelf,
      keep: async intent => {
        await new Promise(done => setTimeout(done, 10))
        await shelf.keep(intent)
      },
    }
    let clock = 0
    const delivery = createDelivery({
      shelf: slow,
      ask: (_, path, { body }) => server.put(path, body),
      changed: () => {},
      saved: () => {},
      now: () => new Date(1_800_000_000_000 + clock++ * 1000),
    })
    await delivery.takeUp('tobias')
    const sending = delivery.send(coupon('a'))
    await delivery.takeUp('tobias')
    expect(await sending).toMatchObject({ is: 'saved', answer: { version: 1 } })
    expect(server.rows.size).toBe(1)
  })
  it('what was saved while the shelf was looked at does not come back', async () => {
    const server = aServer()
    const shelf = aShelf()
    let clock = 0
    let look: () => void = () => {}
    const delivery = createDelivery({
      shelf: {
        ...shelf,
        all: async () => {
          const then = await shelf.all()
          await new Promise<void>(done => (look = done))
          return then
        },
      },
      ask: (_, path, { body }) => server.put(path, body),
      changed: () => {},
      saved: () => {},
      now: () => new Date(1_800_000_000_000 + clock++ * 1000),
    })
    const first = delivery.takeUp('tobias')
    await new Promise(done => setTimeout(done))
    look()
    await first
    shelf.keep({ ...coupon('a'), owner: 'tobias', madeAt: '2027-01-15T08:00:00.000Z', turn: 1, refused: null })
    const second = delivery.takeUp('tobias')
    await delivery.send(coupon('a'))
    expect(shelf.held.size).toBe(0)
    look()
    await second
    expect(delivery.find({ kind: 'coupon', id: 'a' })).toBeNull()
  })
  it('what another page has sent is not sent again, and a shelf that cannot be read empties nothing', async () => {
    let away = true
    let readable = true
    let clock = 0
    const shelf = aShelf()
    const sent: string[] = []
    const seen: { waiting: readonly Intent[] } = { waiting: [] }
    const delivery = createDelivery({
      shelf: { ...shelf, all: () => (readable ? shelf.all() : Promise.reject(new Error('blocked'))) },
      ask: async (_, path) => {
        if (away) throw AWAY
        sent.push(path)
        return { version: 1 }
      },
      changed: waiting => Object.assign(seen, { waiting }),
      saved: () => {},
      now: () => new Date(1_800_000_000_000 + clock++ * 1000),
    })
    await delivery.takeUp('tobias')
    await delivery.send(coupon('a'))
    readable = false
    await delivery.takeUp('tobias')
    expect(seen.waiting).toHaveLength(1)
    readable = true
    shelf.held.clear()
    away = false
    await delivery.takeUp('tobias')
    await delivery.retry()
    expect([seen.waiting, sent]).toEqual([[], []])
  })
})

describe('whose it is', () => {
  it('nobody else’s sign-in sends it, and it is there when its own comes back', async () => {
    const server = aServer()
    const shelf = aShelf()
    await (await aDelivery(() => Promise.reject(AWAY), shelf)).send(coupon('a'))
    const other = await aDelivery(server.put, shelf, 'maren')
    await other.retry()
    expect(other.seen.waiting).toEqual([])
    expect(other.find({ kind: 'coupon', id: 'a' })).toBeNull()
    expect(server.rows.size).toBe(0)
    await (await aDelivery(server.put, shelf)).retry()
    expect(server.rows.size).toBe(1)
    expect(shelf.held.size).toBe(0)
  })
  it('a browser that keeps nothing says so, and loses nothing that the page still holds', async () => {
    const server = aServer()
    let away = true
    const { send, retry, seen, takeUp } = await aDelivery(
      (path, body) => (away ? Promise.reject(AWAY) : server.put(path, body)),
      aShelf(true),
    )
    expect((await send(coupon('a'))).is).toBe('kept here')
    expect(seen.keptAt).toBe('nowhere')
    await takeUp('tobias')
    away = false
    await retry()
    expect(server.rows.size).toBe(1)
    expect(seen).toMatchObject({ keptAt: 'here', waiting: [] })
  })
})

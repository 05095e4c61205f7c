import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { createServer } from 'node:net'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import {
  closeDatabase,
  database,
  inTransaction,
  isDuplicate,
  rows,
  run,
  toDateTime,
  toIso,
} from '../../server/store/database'

beforeAll(() => database().query('CREATE TABLE IF NOT EXISTS tally (id INT PRIMARY KEY, n INT NOT NULL)'))
afterAll(closeDatabase)

describe('a transaction', () => {
  it('keeps all or nothing', async () => {
    await expect(
      inTransaction(database(), async on => {
        await run(on, 'INSERT INTO tally VALUES (?, ?)', [1, 1])
        throw new Error('half way')
      }),
    ).rejects.toThrow('half way')
    expect(await rows(database(), 'SELECT * FROM tally WHERE id = 1')).toEqual([])
  })

  it('is done again when it lost to another', async () => {
    await run(database(), 'REPLACE INTO tally VALUES (2, 0)')
    let attempts = 0
    await inTransaction(database(), async on => {
      if (++attempts < 3) throw Object.assign(new Error('Deadlock found'), { errno: 1213 })
      await run(on, 'UPDATE tally SET n = n + 1 WHERE id = 2')
    })
    expect([attempts, await rows(database(), 'SELECT n FROM tally WHERE id = 2')]).toEqual([3, [{ n: 1 }]])
  })

  it('gives up after six tries, and at once on any other failure', async () => {
    const failing = async (errno: number) => {
      let attempts = 0
      await inTransaction(database(), async () => {
        attempts++
        throw Object.assign(new Error('no'), { errno })
      }).catch(() => {})
      return attempts
    }
    expect([await failing(1213), await failing(1064)]).toEqual([6, 1])
  })

  it('loses no count when many add at once', async () => {
    await run(database(), 'REPLACE INTO tally VALUES (3, 0)')
    await Promise.all(
      Array.from({ length: 20 }, () =>
        inTransaction(database(), async on => {
          const [row] = await rows<{ n: number }>(on, 'SELECT n FROM tally WHERE id = 3 FOR UPDATE')
          await run(on, 'UPDATE tally SET n = ? WHERE id = 3', [row!.n + 1])
        }),
      ),
    )
    expect(await rows(database(), 'SELECT n FROM tally WHERE id = 3')).toEqual([{ n: 20 }])
  })

  it('knows a key that is taken', async () => {
    await run(database(), 'REPLACE INTO tally VALUES (4, 0)')
    const error = await run(database(), 'INSERT INTO tally VALUES (4, 0)').catch((thrown: unknown) => thrown)
    expect(isDuplicate(error)).toBe(true)
    expect(isDuplicate(new Error('other'))).toBe(false)
  })
})

it('a moment goes to the database and back, to the millisecond', () => {
  const moment = new Date('2026-10-25T01:30:00.123Z')
  expect(toIso(toDateTime(moment))).toBe(moment.toISOString())
  // The driver hands over a whole second without its fraction; as text it must still come before the moments after it.
  expect(toIso('2026-10-25 01:30:00') < toIso('2026-10-25 01:30:00.123')).toBe(true)
})

it('says 503 when the database is away, in its own shape and in every other route’s', async () => {
  const probe = createServer().listen(0, '127.0.0.1')
  await once(probe, 'listening')
  const { port } = probe.address() as { port: number }
  probe.close()
  const server = spawn(process.execPath, ['.output/server/index.mjs'], {
    env: {
      ...process.env,
      FUSILIS_DB_URL: 'mysql://nobody:x@127.0.0.1:1/none',
      NUXT_SESSION_PASSWORD: 'x'.repeat(32),
      NITRO_PORT: String(port),
      NITRO_HOST: '127.0.0.1',
    },
    stdio: ['ignore', 'pipe', 'ignore'],
  })
  try {
    await once(server.stdout, 'data')
    const health = await fetch(`http://127.0.0.1:${port}/api/health`)
    expect([health.status, await health.json()]).toEqual([
      503,
      { ok: false, version: expect.any(String), database: false, saves: false, signIns: false },
    ])
    const welcome = await fetch(`http://127.0.0.1:${port}/api/welcome`)
    expect(welcome.status).toBe(503)
    expect(await welcome.json()).toMatchObject({ title: 'Database away', status: 503 })
  } finally {
    server.kill()
  }
})

it('a database that takes no writes is said, and so is one that takes them again', async () => {
  const health = async () => {
    const answer = await fetch(`${process.env.FUSILIS_URL}/api/health`)
    return [answer.status, ((await answer.json()) as { saves: boolean }).saves]
  }
  // A table that is away stands for a disk that is full: what is to be kept is not.
  await database().query('RENAME TABLE school_mark TO school_mark_away')
  try {
    await expect.poll(health, { timeout: 10_000 }).toEqual([503, false])
  } finally {
    await database().query('RENAME TABLE school_mark_away TO school_mark')
  }
  await expect.poll(health, { timeout: 10_000 }).toEqual([200, true])
})

import { Hash } from '@adonisjs/hash'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import { ZxcvbnFactory } from '@zxcvbn-ts/core'
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common'

const scrypt = new Hash(new Scrypt({}))
const strength = new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs })

/** A password as it is kept. */
export const hash = (password: string): Promise<string> => scrypt.make(password)

/** Whether a password is the one that was kept. */
export const verify = ({ kept, password }: { readonly kept: string; readonly password: string }): Promise<boolean> =>
  scrypt.verify(kept, password)

/** How hard a password is to guess, 0 to 4. Source: zxcvbn (Wheeler 2016). */
export const score = (password: string): number => strength.check(password).score

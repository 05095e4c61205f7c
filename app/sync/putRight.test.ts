import { describe, expect, it } from 'vitest'
import { fieldsToPutRight, readField } from './putRight'

describe('what the server did not take', () => {
  it('is put right by its fields, each as it was sent', () => {
    const rods = { lotId: 'x', kind: 'issued', count: 0, why: '' }
    expect(fieldsToPutRight({ kind: 'rods', body: rods }).map(field => [field.label, field.text])).toEqual([
      ['How many rods', '0'],
      ['Why', ''],
    ])
    expect(fieldsToPutRight({ kind: 'ready', body: { studentId: 'x' } })).toEqual([])
  })
  it('is read as it is sent: a number, a text, or nothing', () => {
    const [count, why] = fieldsToPutRight({ kind: 'rods', body: { count: 1, why: '' } })
    const [came] = fieldsToPutRight({ kind: 'attendance', body: { came: null } })
    expect([readField(count!, ' 12 '), readField(count!, '2,5'), readField(count!, 'a dozen')]).toEqual([
      12,
      2.5,
      'a dozen',
    ])
    expect([readField(why!, ' bent '), readField(came!, ' '), readField(came!, '18:05')]).toEqual([
      'bent',
      null,
      '18:05',
    ])
  })
})

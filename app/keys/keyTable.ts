/** One line of a room's keys: how it is shown, what it does, and which act each key stands for. */
export interface KeyRow<Act extends string = string> {
  readonly shown: string
  readonly says: string
  /** By key as `keyOf` names it. */
  readonly acts: Readonly<Record<string, Act>>
}

type Pressed = Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'shiftKey' | 'altKey'>

/**
 * The name of what is pressed: letters in upper case, `Ctrl Z`, `Ctrl Shift Z`; null with Alt, which is the browser's.
 * @example keyOf({ key: 'z', ctrlKey: true, … }) // 'Ctrl Z'
 */
export function keyOf({ key, ctrlKey, metaKey, shiftKey, altKey }: Pressed): string | null {
  if (altKey) return null
  const plain = key.length === 1 ? key.toUpperCase() : key
  return ctrlKey || metaKey ? `Ctrl ${shiftKey ? 'Shift ' : ''}${plain}` : plain
}

/** The act that a key stands for in a room; none where the room has no such key. */
export const actOn = <Act extends string>(rows: readonly KeyRow<Act>[], key: string): Act | undefined =>
  rows.find(row => Object.hasOwn(row.acts, key))?.acts[key]

/** Two rooms' worth of the same key is a mistake: keys that stand in a table more than once. */
export function keysTwice(rows: readonly KeyRow[]): string[] {
  const keys = rows.flatMap(row => Object.keys(row.acts))
  return keys.filter((key, n) => keys.indexOf(key) !== n)
}

/** A room's keys as a table of `docs/rooms.md`. */
export const asMarkdown = (rows: readonly KeyRow[]): string =>
  ['| key | does |', '| --- | --- |', ...rows.map(({ shown, says }) => `| ${inCode(shown)} | ${says} |`)].join('\n')

/** Words of a key's name stand as they are; keys stand as code. */
const inCode = (shown: string) =>
  shown === 'a letter'
    ? shown
    : shown
        .split(' / ')
        .map(key => (key === '`' ? '`` ` ``' : `\`${key}\``))
        .join(' ')

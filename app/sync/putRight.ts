import type { Intent, IntentKind } from './intents'

/** A field of what the server did not take, as it is put right. */
export interface FieldToPutRight {
  readonly name: string
  readonly label: string
  readonly kind: 'text' | 'number'
  /** As it was sent. */
  readonly text: string
  /** Left empty it is nothing at all, and not an empty text. */
  readonly mayBeNone: boolean
}

type Line = readonly [name: string, label: string, kind?: 'number' | 'none']

/** What a person may have typed wrong of each kind; what has a page of its own is put right there. */
const FIELDS: Readonly<Partial<Record<IntentKind, readonly Line[]>>> = {
  'remark': [['says', 'What to remember']],
  'attendance': [
    ['came', 'Came at, like 18:05', 'none'],
    ['left', 'Left at, like 20:40', 'none'],
    ['why', 'Why'],
  ],
  'rods': [
    ['count', 'How many rods', 'number'],
    ['why', 'Why'],
  ],
  'demonstration': [
    ['topic', 'What was shown'],
    ['students', 'How many saw it', 'number'],
    ['minutes', 'Minutes', 'number'],
  ],
  'oven reading': [
    ['oven', 'Oven'],
    ['celsius', 'Degrees, °C', 'number'],
  ],
  'sign-off': [['why', 'Why']],
}

/** The fields of an intent that can be put right; none where it can only be sent again as it is. */
export const fieldsToPutRight = ({ kind, body }: Pick<Intent, 'kind' | 'body'>): FieldToPutRight[] => {
  const sent = (body ?? {}) as Readonly<Record<string, unknown>>
  return (FIELDS[kind] ?? [])
    .filter(([name]) => name in sent)
    .map(([name, label, of]) => ({
      name,
      label,
      kind: of === 'number' ? 'number' : 'text',
      text: String(sent[name] ?? ''),
      mayBeNone: of === 'none',
    }))
}

/** What was typed into a field, as it is sent. */
export function readField({ kind, mayBeNone }: FieldToPutRight, text: string): string | number | null {
  const bare = text.trim()
  if (bare === '' && mayBeNone) return null
  // What is no number is sent as it was typed: the server says what would be right.
  return kind === 'number' && bare !== '' && Number.isFinite(Number(bare.replace(',', '.')))
    ? Number(bare.replace(',', '.'))
    : bare
}

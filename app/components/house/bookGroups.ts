import { bookLines, sayPositions, saySize, type BookLine, type BookValue, type CodeBook } from '~~/core/qualification'

/** The lines of a book by group, in the book's order. */
export function bookGroups(book: CodeBook): { readonly name: string; readonly lines: readonly BookLine[] }[] {
  const lines = bookLines(book)
  return [...new Set(lines.map(line => line.group))].map(name => ({
    name,
    lines: lines.filter(line => line.group === name),
  }))
}

/**
 * A value as it is read: both printed sizes, positions in words. @example sayValue({ is: 'size', in: 0.125, mm: 3
 * }, false) // '1/8 in (3 mm)'
 */
export function sayValue(value: BookValue, metricOnly: boolean): string {
  switch (value.is) {
    case 'size':
      return metricOnly
        ? `${saySize(value.mm, 'mm')} mm`
        : `${saySize(value.in, 'in')} in (${saySize(value.mm, 'mm')} mm)`
    case 'number':
      return String(value.value)
    case 'positions':
      return sayPositions(value.letters)
    case 'specimens':
      return value.kinds.join(', ')
    case 'words':
      return value.words
  }
}

/** How sure a line is, where it is not. */
export const sayDoubt = ({ source: { remembered } }: BookLine): string => (remembered === 'sure' ? '' : remembered)

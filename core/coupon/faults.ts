import type { TryKind } from './document'

/**
 * What can be wrong with each kind of try, the likeliest first. Source: common practice; ISO 6520-1 517 for
 * restarts, 2025 for craters.
 */
export const FAULTS: Readonly<Record<TryKind, readonly string[]>> = {
  'start': ['stuck', 'lump', 'pinholes', 'not burnt over', 'cold'],
  'restart': ['high', 'low', 'gap', 'off line', 'slag', 'pinholes', 'wide', 'narrow'],
  'tie-in': ['high', 'low', 'gap', 'off line', 'slag', 'pinholes', 'wide', 'narrow'],
  'end': ['crater', 'low', 'short of the edge', 'run off'],
}

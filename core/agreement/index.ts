/**
 * How two people's readings of one coupon agree: what was found, missed, imagined or misjudged, and how much better
 * than chance.
 */
export * from './blindCopy'
export * from './compareReadings'
export * from './tally'

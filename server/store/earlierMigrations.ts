/**
 * Migrations that were changed after schools had been made by them. That happens no more: a check refuses it before it
 * is committed. Schools that were made so are brought on all the same.
 */
interface Earlier {
  /** What the file was known by before. */
  readonly checksums: readonly string[]
  /** Whether what it says today is run over what it made then; where not, later migrations make up for it. */
  readonly again: boolean
}

export const EARLIER: Readonly<Record<string, Earlier>> = {
  '0002-coupons.sql': {
    checksums: ['7a970f1f39359c3e58bf6f47374e74848a6e7fa69650f7d600f7da5f4b1542fc'],
    again: false,
  },
  '0008-progress.sql': {
    checksums: [
      '5881044e47b562e06cba35ff4f97233d4d566fde420a4a9084997c56bc7f0f32',
      '73e2040abf5dd0d284ee26b1850999fe2942115c31b462f4089a51179dcac213',
    ],
    again: false,
  },
  '0009-tests.sql': {
    checksums: ['9e90387b98793c95a6d1937315f69b31b0719072482802f4f5d39010ed58d53e'],
    again: false,
  },
  '0010-one-house.sql': {
    checksums: [
      'e7206d633f5b429dae79f4a07719426abf18dba9ebc4cadc953c2c388bd63cfd',
      'd56f04f4b9fbf0ae84416f79f12aa13a964f3c23825c3d1bf8323bcd2599556f',
    ],
    again: true,
  },
  '0011-odds-that-come-true.sql': {
    checksums: ['acc0caff734ae34b8a5f9dfa159f823403d53e95b6f7643da8e41cbd0d7661b0'],
    again: false,
  },
  '0038-what-helped.sql': {
    checksums: ['9a1f9ebaa35f869b19e7ee079566b3d83a98f482683da9558228833c2830b802'],
    again: true,
  },
}

/** Migrations that stand under another name today, by the name that schools may know them by. */
export const RENAMED: Readonly<Record<string, { readonly to: string; readonly checksums: readonly string[] }>> = {
  '0012-the-queue.sql': {
    to: '0013-the-queue.sql',
    checksums: ['46d0945cf73cd4d32733b695f3feee05aabd74cfebde191fc4eb8e49581217b6'],
  },
}

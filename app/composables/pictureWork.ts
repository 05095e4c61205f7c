import { wrap, type Remote } from 'comlink'
import type { PictureWork } from '~/workers/picture'

let worker: Remote<PictureWork> | null = null

/** Pictures are opened, scaled and laid out beside the page: twelve megapixels take longer than a frame. */
export const pictureWork = (): Remote<PictureWork> =>
  (worker ??= wrap<PictureWork>(
    new Worker(new URL('../workers/picture.ts', import.meta.url), { type: 'module', name: 'pictures' }),
  ))

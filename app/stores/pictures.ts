import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import type { Bead, CouponDocument, Piece } from '~~/core/coupon'
import type { BeadSeen, PictureShows } from '~~/core/picture'
import type { CouponPicture, GaugedPicture, PictureBytes, PictureSave } from '~~/contract/pictures'
import { asDataUrl } from '~/composables/dataUrl'
import { pictureWork } from '~/composables/pictureWork'
import type { KeptPicture, LaidPicture } from '~/workers/picture'
import { useOutbox } from './outbox'
import { request } from './request'

/** Whose coupon a picture is of. */
export interface PicturedCoupon {
  readonly id: string
  readonly student: { readonly id: string; readonly name: string }
}

/** A picture that is being set: new, or one that is kept. */
export interface OpenPicture extends KeptPicture, PictureShows {
  readonly id: string
}

/** What is drawn under the marks. */
export type ShownPicture = Omit<LaidPicture, 'image'> & Pick<CouponPicture, 'side'> & { readonly url: string }

/** What is sent to the worker is copied; a page's wrappers are not. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

const toBase64 = async (blob: Blob): Promise<string> => {
  const url = await asDataUrl(blob)
  return url.slice(url.indexOf(',') + 1)
}
const fromBase64 = (data: string): Blob =>
  new Blob([Uint8Array.from(atob(data), letter => letter.charCodeAt(0))], { type: 'image/jpeg' })

/** What the picture under the marks shows of a bead; null where its toes do not stand out. */
export interface SeenOnPicture {
  readonly beadId: string
  readonly bead: BeadSeen | null
}

/** Pictures of the coupon that lies open: those the server has, and those that wait here. */
export const usePictures = defineStore('pictures', () => {
  const outbox = useOutbox()
  const couponId = ref('')
  const known = shallowRef<readonly CouponPicture[]>([])
  /** The picture under the marks, and how much of it shows through. */
  const shownId = ref('')
  const opacity = useLocalStorage('fusilis.pictureOpacity', 0.6)
  const shown = shallowRef<ShownPicture | null>(null)
  const problem = ref('')
  /** What the picture shows of a bead: a proposal, until a person takes it. */
  const seen = shallowRef<SeenOnPicture | null>(null)
  const bytes = new Map<string, Blob>()

  const waiting = computed(() =>
    outbox.mine.flatMap(one => {
      const body = one.body as PictureSave
      return one.kind === 'picture' && body.couponId === couponId.value ? [{ id: one.id, at: one.madeAt, body }] : []
    }),
  )
  const goes = computed(() => new Set(outbox.mine.filter(one => one.kind === 'no picture').map(one => one.id)))
  const all = computed<readonly CouponPicture[]>(() => {
    const here = waiting.value.map(({ id, at, body: { data: _, ...shows } }) => ({
      ...{ ...shows, id, takenAt: at, by: '' },
    }))
    const ids = new Set(here.map(one => one.id))
    return [...known.value.filter(one => !ids.has(one.id)), ...here].filter(one => !goes.value.has(one.id))
  })

  /** Pictures of a coupon that is not the open one. @throws RequestFailure where they cannot be had now */
  const ofCoupon = (id: string) => request<CouponPicture[]>('GET', `/api/coupons/${id}/pictures`)

  /** Looks up which pictures there are of a coupon; without the server, those that wait here. */
  async function open(id: string): Promise<void> {
    if (couponId.value !== id) {
      couponId.value = id
      known.value = []
      hide()
      bytes.clear()
    }
    problem.value = ''
    const found = await ofCoupon(id).catch(() => null)
    if (found && couponId.value === id) known.value = found
  }

  async function bytesOf(id: string): Promise<Blob> {
    const held = bytes.get(id)
    if (held) return held
    const here = waiting.value.find(one => one.id === id)
    const data = here ? here.body.data : (await request<PictureBytes>('GET', `/api/pictures/${id}`)).data
    const blob = fromBase64(data)
    bytes.set(id, blob)
    return blob
  }

  /** Opens a file as a picture that nothing is said of yet. @throws Error in words */
  async function take(file: File, longestPx: number): Promise<OpenPicture> {
    const kept = await pictureWork().shrink(file, longestPx)
    return { ...kept, id: uuid(), side: 'face', state: 'slag off', lies: null }
  }

  /** A picture that is kept, to be set again. @throws RequestFailure where it cannot be had now */
  async function takeUp(picture: CouponPicture): Promise<OpenPicture> {
    const { id, side, state, lies, widthPx, heightPx } = picture
    return { id, side, state, lies, widthPx, heightPx, jpeg: await bytesOf(id) }
  }

  /** Keeps a picture, now or as soon as the server answers. @throws RequestFailure where it is refused */
  async function keep(coupon: PicturedCoupon, picture: OpenPicture): Promise<void> {
    const { id, jpeg, side, state, lies, widthPx, heightPx } = picture
    bytes.set(id, jpeg)
    const shows = { side, state, lies, widthPx, heightPx }
    const body: PictureSave = {
      couponId: coupon.id,
      studentId: coupon.student.id,
      ...shows,
      data: await toBase64(jpeg),
    }
    await outbox.send({ kind: 'picture', id, body, student: coupon.student.name, about: 'a picture of a coupon' })
    await open(coupon.id)
  }

  /** Erases a picture for good. */
  async function erase(coupon: PicturedCoupon, id: string): Promise<void> {
    if (shownId.value === id) hide()
    bytes.delete(id)
    const about = 'a picture that is erased'
    await outbox.send({ kind: 'no picture', id, body: {}, student: coupon.student.name, about })
    known.value = known.value.filter(one => one.id !== id)
  }

  /** Erases what was taken of a coupon that is thrown away. @throws RequestFailure where one is refused */
  async function discard(coupon: PicturedCoupon): Promise<void> {
    if (couponId.value !== coupon.id) await open(coupon.id)
    for (const { id } of all.value) await erase(coupon, id)
  }

  function hide(): void {
    seen.value = null
    shownId.value = ''
    if (shown.value) URL.revokeObjectURL(shown.value.url)
    shown.value = null
  }

  /**
   * A picture whose corners are set, laid out to scale. For a screen its address is let go of by the caller; for paper
   * it holds the image. @throws RequestFailure where it cannot be had now
   */
  async function lay(picture: CouponPicture, piece: Piece, on: 'screen' | 'paper'): Promise<ShownPicture> {
    const sent = plain({ piece, lies: picture.lies! })
    const { image, ...part } = await pictureWork().lay(await bytesOf(picture.id), sent.piece, sent.lies, on)
    return { ...part, side: picture.side, url: on === 'paper' ? await asDataUrl(image) : URL.createObjectURL(image) }
  }

  /** Lays a picture under the marks. */
  async function show(picture: CouponPicture, { piece }: Pick<CouponDocument, 'piece'>): Promise<void> {
    hide()
    if (!picture.lies) return
    shownId.value = picture.id
    problem.value = ''
    try {
      const laid = await lay(picture, piece, 'screen')
      if (shownId.value === picture.id) shown.value = laid
      else URL.revokeObjectURL(laid.url)
    } catch (error) {
      hide()
      problem.value = error instanceof Error ? error.message : 'The picture cannot be shown.'
    }
  }

  /** The person's own coupons with widths gauged and a picture. @throws RequestFailure where they cannot be had now */
  const gauged = () => request<GaugedPicture[]>('GET', '/api/pictures/gauged')

  /** What a picture shows of a bead; null where its toes do not stand out. @throws RequestFailure */
  async function see(picture: CouponPicture, piece: Piece, bead: Bead): Promise<BeadSeen | null> {
    const sent = plain({ piece, lies: picture.lies!, bead })
    return pictureWork().see(await bytesOf(picture.id), sent.piece, sent.lies, sent.bead)
  }

  /** Looks for the toes of a bead on the picture under the marks. */
  async function look({ piece }: Pick<CouponDocument, 'piece'>, bead: Bead): Promise<void> {
    const picture = all.value.find(one => one.id === shownId.value)
    if (!picture?.lies) return
    problem.value = ''
    try {
      const found = await see(picture, piece, bead)
      if (shownId.value === picture.id) seen.value = { beadId: bead.id, bead: found }
    } catch (error) {
      problem.value = error instanceof Error ? error.message : 'The picture cannot be measured.'
    }
  }
  const forget = () => {
    seen.value = null
  }

  return {
    gauged,
    see,
    look,
    forget,
    seen,
    all,
    shown,
    shownId,
    opacity,
    problem,
    open,
    ofCoupon,
    take,
    takeUp,
    keep,
    erase,
    discard,
    lay,
    show,
    hide,
  }
})

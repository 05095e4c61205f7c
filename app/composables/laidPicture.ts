import type { Piece } from '~~/core/coupon'
import type { CouponPicture } from '~~/contract/pictures'
import { messageOf } from '~/stores/request'
import { usePictures, type ShownPicture } from '~/stores/pictures'

/** A picture beside the one under the marks, laid out to scale while the page shows it. */
export function useLaidPicture(of: () => { readonly picture: CouponPicture; readonly piece: Piece } | null) {
  const pictures = usePictures()
  const laid = shallowRef<ShownPicture | null>(null)
  const problem = ref('')
  let gone = false
  const drop = () => {
    if (laid.value) URL.revokeObjectURL(laid.value.url)
    laid.value = null
  }
  watch(
    of,
    async wanted => {
      drop()
      problem.value = ''
      if (!wanted?.picture.lies) return
      try {
        const found = await pictures.lay(wanted.picture, wanted.piece, 'screen')
        drop()
        if (!gone && of()?.picture.id === wanted.picture.id) laid.value = found
        else URL.revokeObjectURL(found.url)
      } catch (error) {
        problem.value = messageOf(error)
      }
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    gone = true
    drop()
  })
  return { laid, problem }
}

import { shopSaveSchema, type ShopSave, type ShopVersion } from '../../../contract/shop'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { DOCUMENT_BYTES } from '../../http/readAs'
import { savedByOther } from '../../http/savedByOther'
import { keepShop } from '../../store/shop'

/** Saves the shop as it was laid out anew. */
export default defineRoute(
  { who: lead, did: 'laid out the shop', takes: shopSaveSchema, mostBytes: DOCUMENT_BYTES },
  async ({ me, body }): Promise<ShopVersion> => {
    const { baseVersion, plan } = body as ShopSave
    const kept = await keepShop(baseVersion, plan, { name: me.name, now: new Date() })
    if (!kept) throw savedByOther('Somebody laid the shop out meanwhile. Load it, and make your changes on that.')
    return kept
  },
)

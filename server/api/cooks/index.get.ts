import { route } from '../../http/route'

/** Cooks that are not finished, newest first; of one that was left open, when it was likely done. */
export default route(async hearth => ({
  cooks: (await hearth.cooks.live()).map(one => ({ ...one, likelyDoneAt: hearth.openCooks.likelyDoneAt(one.id) })),
}))

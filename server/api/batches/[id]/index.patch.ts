import { BatchPatchSchema } from '../../../../contracts/batch'
import { pathId, readJson, route } from '../../../http/route'

/** Changes the note of a batch. */
export default route(async (hearth, event) => {
  const { note } = await readJson(event, BatchPatchSchema)
  await hearth.batches.note(pathId(event), note)
  return { note }
})

import type { QueryInterface } from 'sequelize'

/**
 * What a batch says of its time outside the cold: by when it has to be in, and how long it keeps there. Batches in the
 * house are settled once more, which works both out anew; the others keep what they said.
 */
export const outside = {
  name: '2026-12-03-outside',
  async up({ context }: { context: QueryInterface }): Promise<void> {
    const { sequelize } = context
    await sequelize.query(`UPDATE batches SET after = json_remove(json_set(after,
        '$.coldBy', CASE WHEN json_extract(after, '$.coldSoon') THEN json_extract(after, '$.eatBy[0]') END,
        '$.inCold', json_extract(after, '$.eatBy')), '$.coldSoon')
      WHERE json_valid(after) AND json_type(after) = 'object'`)
    await sequelize.query('UPDATE cooks SET settled_place = 0 WHERE id IN (SELECT id FROM batches WHERE in_house = 1)')
  },
}

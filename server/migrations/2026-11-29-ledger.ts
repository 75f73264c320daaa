import { DataTypes, QueryTypes, type QueryInterface } from 'sequelize'

const text = (allowNull = false) => ({ type: DataTypes.TEXT, allowNull })
const whole = (allowNull = false) => ({ type: DataTypes.INTEGER, allowNull })
/** Rows filled at once. */
const AT_ONCE = 200
/** What the ledger is filtered by. */
const FILTERS = ['family', 'pan', 'fire', 'season', 'faulty']

/** What lists draw of a summary. */
const DRAWN = ['stones', 'keystoneS', 'endS', 'baseG', 'finishedG', 'weighed', 'darkestStep', 'faults', 'line']

interface Named { readonly id?: string, readonly name?: string }
interface OldPlan {
  readonly dish?: { readonly family?: string, readonly version?: number, readonly keystone?: { readonly stage?: string }, readonly stages?: readonly { readonly id?: string, readonly vessel?: string }[] }
  readonly vessels?: Readonly<Record<string, Named>>
  readonly fires?: Readonly<Record<string, Named>>
}

/** The ledger: what batches are filtered by stands in columns of its own; faults, photographs; what is in the house. */
export const ledger = {
  name: '2026-11-29-ledger',
  async up({ context }: { context: QueryInterface }): Promise<void> {
    const columns = {
      family: text(true), version: whole(true), pan: text(true), pan_name: text(true), fire: text(true), fire_name: text(true), season: whole(true),
      faulty: { ...whole(), defaultValue: 0 }, picture: text(true), after: text(true), in_house: { ...whole(), defaultValue: 0 }, eat_by: whole(true),
    }
    for (const [name, column] of Object.entries(columns)) await context.addColumn('batches', name, column)
    await context.createTable('batch_faults', {
      fault: { ...text(), primaryKey: true }, started_at: { ...whole(), primaryKey: true }, batch_id: { ...text(), primaryKey: true },
    })
    await context.addIndex('batch_faults', ['batch_id'])
    await context.createTable('photos', {
      id: { ...text(), primaryKey: true }, batch_id: { ...text(), references: { model: 'batches', key: 'id' } }, at: whole(), width: whole(), height: whole(),
      bytes: { type: DataTypes.BLOB, allowNull: false }, removed_at: whole(true),
    })
    await context.addIndex('photos', ['batch_id', 'removed_at'])
    await fill(context)
    for (const name of FILTERS) await context.addIndex('batches', [name, 'removed_at', 'started_at', 'id'])
    await context.addIndex('observations', ['kind', 'stream'])
    await context.addIndex('batches', ['in_house', 'removed_at', 'eat_by'])
  },
}

/** Gives batches of older versions the columns they are filtered by. */
async function fill(context: QueryInterface): Promise<void> {
  const { sequelize } = context
  for (let last = ''; ;) {
    const rows = await sequelize.query<{ id: string, started_at: number, summary: string, plan: string }>(
      'SELECT b.id, b.started_at, b.summary, c.plan FROM batches b JOIN cooks c ON c.id = b.id WHERE b.id > :last ORDER BY b.id LIMIT :most',
      { type: QueryTypes.SELECT, replacements: { last, most: AT_ONCE } })
    if (rows.length === 0) return
    for (const row of rows) {
      const plan: OldPlan = JSON.parse(row.plan)
      const summary: Record<string, unknown> = JSON.parse(row.summary)
      const picture = Object.fromEntries(DRAWN.map(name => [name, summary[name]]))
      const faults = Array.isArray(summary.faults) ? summary.faults.map(String) : []
      const vessel = plan.dish?.stages?.find(stage => stage.id === plan.dish?.keystone?.stage)?.vessel ?? 'pan'
      await sequelize.query(
        'UPDATE batches SET family = :family, version = :version, pan = :pan, pan_name = :panName, fire = :fire, fire_name = :fireName, season = :season, faulty = :faulty, picture = :picture WHERE id = :id',
        { replacements: {
          id: row.id, family: plan.dish?.family ?? null, version: plan.dish?.version ?? null, pan: plan.vessels?.[vessel]?.id ?? null, panName: plan.vessels?.[vessel]?.name ?? null,
          fire: plan.fires?.[vessel]?.id ?? null, fireName: plan.fires?.[vessel]?.name ?? null, season: Math.floor(((new Date(Number(row.started_at)).getMonth() + 1) % 12) / 3),
          faulty: faults.length > 0 ? 1 : 0, picture: JSON.stringify(picture),
        } })
      for (const fault of faults) {
        await sequelize.query('INSERT OR IGNORE INTO batch_faults (fault, started_at, batch_id) VALUES (:fault, :at, :id)', { replacements: { fault, at: row.started_at, id: row.id } })
      }
    }
    last = rows.at(-1)!.id
  }
}

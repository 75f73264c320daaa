import { DataTypes, type QueryInterface } from 'sequelize'

const text = () => ({ type: DataTypes.TEXT, allowNull: false })
const whole = (allowNull = false) => ({ type: DataTypes.INTEGER, allowNull })

/** What a household teaches beside its batches: boil checks, batches from memory, what is forgotten or was changed. */
export const lessons = {
  name: '2026-11-27-lessons',
  async up({ context }: { context: QueryInterface }): Promise<void> {
    await context.createTable('lessons', {
      id: { ...text(), primaryKey: true }, kind: text(), at: whole(), lesson: text(), told: text(), removed_at: whole(true),
    })
    await context.addIndex('lessons', ['at'])
  },
}

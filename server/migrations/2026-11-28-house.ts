import { DataTypes, type QueryInterface } from 'sequelize'

const text = () => ({ type: DataTypes.TEXT, allowNull: false })
const whole = () => ({ type: DataTypes.INTEGER, allowNull: false })

/** The house network: its passphrase, who has entered, and where devices stand. */
export const house = {
  name: '2026-11-28-house',
  async up({ context }: { context: QueryInterface }): Promise<void> {
    await context.createTable('house_settings', { name: { ...text(), primaryKey: true }, value: text() })
    await context.createTable('sessions', { id: { ...text(), primaryKey: true }, secret: text(), name: text(), created_at: whole(), seen_at: whole() })
    await context.createTable('device_links', { device: { ...text(), primaryKey: true }, cook: text(), vessel: text() })
  },
}

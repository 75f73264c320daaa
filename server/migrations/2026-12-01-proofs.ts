import { DataTypes, type QueryInterface } from 'sequelize'

/** When a device that has entered told the passphrase last. */
export const proofs = {
  name: '2026-12-01-proofs',
  async up({ context }: { context: QueryInterface }): Promise<void> {
    await context.addColumn('sessions', 'proven_at', { type: DataTypes.INTEGER, allowNull: true })
  },
}

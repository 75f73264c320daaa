import { KILLED_IN } from '../support/killing/house'
import { killAndCheck } from '../support/killing/killAndCheck'
import { expect, test } from './hearth'

// Hundreds of kills: node scripts/run.mjs scripts/kills.ts
for (const kind of KILLED_IN) {
  test(`three kills in the middle of ${kind} lose nothing that was acknowledged, double nothing, leave nothing half, and leave the database whole`, async () => {
    const found = await killAndCheck({ kills: 3, cooks: 4, rate: 600, of: [kind], say: () => undefined })
    expect(found).toMatchObject({ kills: 3, lost: 0, doubled: 0, half: 0, whole: 3 })
    // How many backups, copies and restores come to their end between two kills is the machine's affair.
    if (!['restores', 'copies', 'backups'].includes(kind)) expect(found.acknowledged).toBeGreaterThan(2)
  })
}

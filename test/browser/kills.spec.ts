import { KILLED_IN } from '../support/killing/house'
import { killAndCheck } from '../support/killing/killAndCheck'
import { expect, test } from './hearth'

for (const kind of KILLED_IN) {
  test(`ten kills in the middle of ${kind} lose nothing that was acknowledged, double nothing, leave nothing half, and leave the database whole`, async () => {
    test.setTimeout(300_000)
    const found = await killAndCheck({ kills: 10, cooks: 4, rate: 600, of: [kind], say: () => undefined })
    expect(found).toMatchObject({ kills: 10, lost: 0, doubled: 0, half: 0, whole: 10 })
    // How many backups, copies and restores come to their end between two kills is the machine's affair.
    if (!['restores', 'copies', 'backups'].includes(kind)) expect(found.acknowledged).toBeGreaterThan(8)
  })
}

import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

/**
 * Nothing serious stands against what a page shows: every rule in light, and in dark the contrast of its colours, which
 * is all that differs there.
 *
 * @param page as it is to be looked at, in light
 * @param where it stands, for the message
 * @param schemes light alone where dark was looked at in another size: its colours are the same
 */
export async function nothingSerious(page: Page, where: string, schemes: 'both' | 'light' = 'both'): Promise<void> {
  await expectNone(page, looking(page), `${where}, light`)
  if (schemes === 'light') return
  // Without motion: a colour on its way from one to the other would be measured.
  await page.emulateMedia({ colorScheme: 'dark', reducedMotion: 'reduce' })
  await expectNone(page, looking(page).withRules(['color-contrast']), `${where}, dark`)
  await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'no-preference' })
}

/** A list that drops from a field is moved through from the field itself, by the arrow keys: it never has the focus. */
const MOVED_BY_ARROWS = '.el-select-dropdown__wrap'

/** Without a page of its own for every look: that is for frames of other origins, and there are none. */
function looking(page: Page): AxeBuilder {
  return new AxeBuilder({ page }).exclude(MOVED_BY_ARROWS).setLegacyMode(true).options({ resultTypes: ['violations'] })
}

async function expectNone(page: Page, axe: AxeBuilder, where: string): Promise<void> {
  const { violations } = await axe.analyze()
  const serious = violations.filter(one => one.impact === 'serious' || one.impact === 'critical')
  expect(
    serious.map(one => `${where}: ${one.id}: ${one.nodes.map(node => node.html.slice(0, 120)).join(' | ')}`),
  ).toEqual([])
}

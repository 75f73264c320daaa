import AxeBuilder from '@axe-core/playwright'
import { expect, type Locator, type Page } from '@playwright/test'

/** How a page is looked at. */
interface Looking {
  /** Light alone where dark was looked at in another size: its colours are the same. */
  readonly schemes?: 'both' | 'light'
  /** What of it is looked at, where the rest was looked at elsewhere; the whole page if left out. */
  readonly part?: Locator
}

/**
 * Nothing serious stands against what a page shows: every rule in light, and in dark the contrast of its colours, which
 * is all that differs there.
 *
 * @param page as it is to be looked at, in light
 * @param where it stands, for the message
 * @param how the whole of it in both schemes, if left out
 */
export async function nothingSerious(page: Page, where: string, { schemes = 'both', part }: Looking = {}): Promise<void> {
  await part?.evaluate(one => one.setAttribute('data-looked-at', ''))
  const looking = (): AxeBuilder => part ? ofPage(page).include('[data-looked-at]') : ofPage(page)
  await expectNone(page, looking(), `${where}, light`)
  if (schemes === 'light') return
  await page.emulateMedia({ colorScheme: 'dark' })
  await expectNone(page, looking().withRules(['color-contrast']), `${where}, dark`)
  await page.emulateMedia({ colorScheme: 'light' })
}

/** A list that drops from a field is moved through from the field itself, by the arrow keys: it never has the focus. */
const MOVED_BY_ARROWS = '.el-select-dropdown__wrap'

/** Without a page of its own for every look: that is for frames of other origins, and there are none. */
function ofPage(page: Page): AxeBuilder {
  return new AxeBuilder({ page }).exclude(MOVED_BY_ARROWS).setLegacyMode(true).options({ resultTypes: ['violations'] })
}

async function expectNone(page: Page, axe: AxeBuilder, where: string): Promise<void> {
  const { violations } = await axe.analyze()
  const serious = violations.filter(one => one.impact === 'serious' || one.impact === 'critical')
  expect(
    serious.map(one => `${where}: ${one.id}: ${one.nodes.map(node => node.html.slice(0, 120)).join(' | ')}`),
  ).toEqual([])
}

import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../book/dishes'
import { INGREDIENTS } from '../../book/ingredients'
import { FAMILY_WORDS } from '../../words/choices'
import { dishFinder } from './findDishes'

describe('finding a dish', () => {
  const find = dishFinder(STARTER_DISHES, id => INGREDIENTS.find(row => row.id === id), FAMILY_WORDS)

  it.each([
    ['sooji halwa', 'sweet-water-semolina'],
    ['suji halva', 'sweet-water-semolina'],
    ['rawa kesri', 'sweet-water-semolina'],
    ['सूजी हलवा', 'sweet-water-semolina'],
    ['ரவா கேசரி', 'sweet-water-semolina'],
    ['gajar', 'winter-market-carrot'],
    ['gaajar ka halwa', 'winter-market-carrot'],
    ['gajrella', 'winter-market-carrot'],
    ['गाजर', 'winter-market-carrot'],
    ['dudhi', 'garden-wall-gourd'],
    ['loki', 'garden-wall-gourd'],
    ['besan barfi', 'one-thread-gram'],
    ['moong dal', 'long-spoon-mung'],
    ['mung', 'long-spoon-mung'],
    ['கேழ்வரகு', 'red-soil-millet'],
    ['nachni', 'red-soil-millet'],
    ['kaju katli', 'diamond-cashew'],
    ['carot', 'winter-market-carrot'],
    ['lapsi', 'threshing-floor-wheat'],
  ])('%s finds %s among the first three', (text, id) => {
    expect(find(text).slice(0, 3)).toContain(id)
  })

  it('finds by what is in it, and everything for nothing', () => {
    expect(find('jaggery').length).toBeGreaterThan(5)
    expect(find('')).toHaveLength(STARTER_DISHES.length)
    expect(find('halwa')).toHaveLength(STARTER_DISHES.length)
    expect(find('zzzzqq')).toEqual([])
  })
})

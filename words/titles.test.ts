import { describe, expect, it } from 'vitest'
import { pageTitle } from './titles'

describe('titles of pages', () => {
  it('tell every page from every other', () => {
    const paths = [
      '/',
      '/book',
      '/measure',
      '/fire/x',
      '/tray',
      '/tray/x',
      '/tray/guide/x',
      '/ledger',
      '/ledger/x',
      '/ledger/compare',
      '/ledger/copies',
      '/ledger/remember',
      '/spread',
      '/spread/x',
      '/spread/sheet/x',
      '/kitchen',
      '/kitchen/boil',
      '/kitchen/learned',
      '/kitchen/house',
      '/card/x',
      '/labels',
    ]
    const titles = paths.map(path => pageTitle(path))
    expect(new Set(titles).size).toBe(paths.length)
    expect(titles.every(title => title.endsWith(' · Yon Hearth') && !title.startsWith('No such page'))).toBe(true)
  })

  it('carry the name of what they are about, and say where there is nothing', () => {
    expect(pageTitle('/fire/abc', 'Winter-market carrot')).toBe('At the fire, Winter-market carrot · Yon Hearth')
    expect(pageTitle('/nowhere')).toBe('No such page · Yon Hearth')
  })
})

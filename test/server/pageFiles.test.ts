import { describe, expect, it } from 'vitest'
import { filesOfPages } from '../../scripts/filesOfPages'

describe('files of a page', () => {
  const manifest = {
    'node_modules/nuxt/entry.js': { file: 'entry.js', isEntry: true, imports: ['_shared.js'], css: ['entry.css'] },
    '_shared.js': { file: 'shared.js' },
    '_deep.js': { file: 'deep.js', css: ['deep.css'], imports: ['_part.js'] },
    '_part.js': { file: 'part.js', css: ['deep.css'], imports: ['_deep.js'] },
    'pages/index.vue': { file: 'home.js', imports: ['_shared.js', '_deep.js'], css: ['home.css'] },
    'pages/fire/[id].vue': { file: 'fire.js', imports: ['_shared.js'] },
    'pages/kitchen/index.vue': { file: 'kitchen.js', imports: ['_gone.js'] },
    'pages/[...path].vue': { file: 'lost.js' },
    'components/Late.vue': { file: 'late.js' },
  }
  const pages = filesOfPages(manifest)
  const of = (path: string) => pages.filter(one => new RegExp(one.path).test(path))

  it('names each page’s own scripts and styles once, without those of the entry, through circles', () => {
    expect(of('/')).toEqual([
      { path: '^//?$', scripts: ['home.js', 'deep.js', 'part.js'], styles: ['home.css', 'deep.css'] },
    ])
    expect(of('/kitchen')).toMatchObject([{ scripts: ['kitchen.js'], styles: [] }])
  })
  it('takes a page with an address of its own before one that takes any name', () => {
    const both = filesOfPages({
      'pages/ledger/[id].vue': { file: 'batch.js' },
      'pages/ledger/copies.vue': { file: 'copies.js' },
    })
    expect(both.find(one => new RegExp(one.path).test('/ledger/copies'))?.scripts).toEqual(['copies.js'])
    expect(both.find(one => new RegExp(one.path).test('/ledger/demo-1'))?.scripts).toEqual(['batch.js'])
  })
  it('knows a page by its address, and no other', () => {
    expect(of('/fire/abc')).toMatchObject([{ scripts: ['fire.js'] }])
    expect(of('/fire')).toEqual([])
    expect(of('/fire/abc/def')).toEqual([])
    expect(of('/kitchen/')).toHaveLength(1)
    expect(of('/somewhere')).toEqual([])
  })
})

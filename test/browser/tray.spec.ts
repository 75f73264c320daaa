import { Buffer } from 'node:buffer'
import type { Page } from '@playwright/test'
import { lattice } from '../../core/formulation/tray/lattice'
import { cutTray } from '../../core/formulation/tray/cutTray'
import { nothingSerious } from './accessible'
import { jpegWithPlace } from '../support/jpegs'
import { pdfLines, type PdfLine } from '../support/pdfLines'
import { expect, runHearth, test } from './hearth'

const SLAB = 'demo-708'
const CARROT = 'demo-707'
const long = (line: PdfLine): number => Math.hypot(line.x2 - line.x1, line.y2 - line.y1)

test.use({ shared: true })

interface Shaped {
  readonly kind: string
  readonly payload: {
    readonly cut: { firstMm: number, secondMm: number, turnDeg: number, slantDeg: number }
    readonly tray: { shape: 'rectangle', widthMm: number, lengthMm: number }
  }
}

/** How the slab was shaped, as the hearth has it. */
async function shaped(page: Page): Promise<Shaped[]> {
  const cook: { observations: Shaped[] } = await (await page.request.get(`/api/cooks/${SLAB}`)).json()
  return cook.observations.filter(one => one.kind === 'shaped')
}

test.describe('the tray', () => {
  test('counts pieces live, and its cutting guide is printed true to half a millimetre', async ({
    page,
    complaints,
  }) => {
    await page.goto(`/tray/${SLAB}`)
    await expect(page.locator('.count')).toContainText('pieces of')
    const before = await page.locator('.count').innerText()
    const were = await shaped(page)
    await page.getByRole('radio', { name: 'squares' }).check()
    await page.getByRole('button', { name: 'Width: more' }).click()
    await expect(page.locator('.count')).not.toHaveText(before)
    // Kept once the hand has rested: something new, and then nothing newer.
    let last = ''
    await expect.poll(async () => {
      const now = JSON.stringify((await shaped(page)).slice(were.length))
      const rests = now === last && now !== '[]'
      last = now
      return rests
    }, { intervals: [600], timeout: 15_000 }).toBe(true)
    const { tray, cut } = (await shaped(page)).at(-1)!.payload
    await page.goto(`/tray/guide/${SLAB}`)
    await page.locator('.sheet svg').first().waitFor()
    const lines = pdfLines(await page.pdf({ preferCSSPageSize: true, format: 'A4' }))
    expect(Math.min(...lines.map(line => Math.abs(long(line) - 100)))).toBeLessThan(0.5)
    const wanted = cutTray(tray, cut)
    expect(wanted.marks.length).toBeGreaterThan(4)
    for (const mark of wanted.marks) {
      const length = Math.hypot(mark.to.x - mark.from.x, mark.to.y - mark.from.y)
      expect(Math.min(...lines.map(line => Math.abs(long(line) - length))), `a mark of ${length} mm`).toBeLessThan(0.5)
    }
    const across = lines
      .filter(line => Math.abs(line.y1 - line.y2) < 0.05 && Math.abs(long(line) - tray.widthMm) < 0.5)
      .map(line => line.y1)
      .sort((p, q) => p - q)
    expect(across.length).toBeGreaterThan(1)
    for (let i = 1; i < across.length; i++)
      expect(Math.abs(across[i]! - across[i - 1]! - cut.firstMm)).toBeLessThan(0.5)
    expect(lattice(cut, wanted.shift).areaMm2).toBeGreaterThan(100)
    expect(complaints.list).toEqual([])
  })

  test('says what is left, where it stands and until when; a share is set apart, and taken back', async ({ page }) => {
    await page.goto(`/tray/${CARROT}`)
    await expect(page.getByText('Local food rules decide')).toBeVisible()
    const left = page.locator('.serve .left strong')
    const before = await left.innerText()
    await page.getByRole('button', { name: /eaten$/ }).click()
    await expect(left).not.toHaveText(before)
    await page.getByRole('button', { name: 'Take the last back' }).click()
    await expect(left).toHaveText(before)
    await page.getByRole('radio', { name: /in the room/ }).check()
    await expect(page.locator('.keep .says')).toContainText(/Into the cold|Past its time/)
    await page.goto('/')
    await expect(page.locator('.keeps')).toContainText('Winter-market carrot')
  })

  test('prints labels with ingredients in falling weight, allergens, and when it is to be used', async ({ page }) => {
    await page.goto(`/labels?batches=${CARROT},${SLAB}`)
    const label = page.locator('article.label').first()
    await expect(label).toContainText(/Ingredients: red carrot, whole milk, sugar/)
    await expect(label).toContainText('Contains milk, cashew nuts')
    await expect(label).toContainText(/Best by .* not after /)
    await expect(label).toContainText('Keep cold')
    const count = await page.locator('article.label').count()
    await page.getByRole('button', { name: 'Winter-market carrot: more' }).click()
    await expect(page.locator('article.label')).toHaveCount(count + 1)
  })
})

test.describe('the ledger', () => {
  test('is looked through, laid over one another, and found again by its address', async ({ page, complaints }) => {
    await page.goto('/ledger')
    const arches = page.locator('.wall li')
    await expect(arches.first()).toBeVisible()
    const all = await arches.count()
    await page.goto('/ledger?fault=any')
    await expect(arches).not.toHaveCount(all)
    await expect(page.getByRole('heading', { level: 1 })).toContainText('batches')
    const faulty = await arches.count()
    await page.reload()
    await expect(arches).toHaveCount(faulty)
    await expect(page.locator('.wall .lozenge')).toHaveCount(faulty)
    await page.goto('/ledger?dish=sweet-water-semolina')
    await expect(page.locator('.trend figure')).toHaveCount(3)
    await page.getByRole('button', { name: /^Lay .* aside/ }).nth(0).click()
    await page.getByRole('button', { name: /^Lay .* aside/ }).nth(2).click()
    await page.getByRole('link', { name: 'Lay them over one another' }).click()
    await expect(page.locator('.words')).toContainText(/(earlier|later|lighter|heavier|less|more|marks?)/)
    for (const name of ['at the fire', 'at the end', 'at the turn']) {
      await page.getByRole('radio', { name }).check()
      await expect(page.getByRole('img', { name: new RegExp(name) })).toBeVisible()
    }
    expect(complaints.list).toEqual([])
  })

  test('says why a batch went wrong, makes the changed copy at a touch, and remembers it', async ({ page }) => {
    await page.goto('/ledger/demo-402')
    const finder = page.locator('.finder')
    await expect(finder.locator('ol > li')).not.toHaveCount(0)
    await expect(finder).toContainText('The roast was ended too soon', { ignoreCase: true })
    await finder.getByRole('button', { name: /^Change the dish/ }).first().click()
    await expect(finder).toContainText('Kept as version 2')
    await page.reload()
    await expect(finder).toContainText('not cooked since')
    await page.goto('/ledger/demo-705')
    await expect(page.locator('.finder')).toContainText('it worked')
  })

  test('keeps how it was liked, a note at a minute, and a photograph without its place', async ({ page }) => {
    await page.goto('/ledger/demo-410')
    await page.getByRole('radio', { name: 'too lean' }).check()
    await page.getByLabel('At', { exact: true }).fill('7:30')
    await page.getByLabel('A note at that minute').fill('the telephone rang')
    await page.getByRole('button', { name: 'Write it' }).click()
    await expect(page.locator('.story')).toContainText('the telephone rang')
    const picture = await page.evaluate(async () => {
      const canvas = document.createElement('canvas')
      canvas.width = 2400
      canvas.height = 1600
      canvas.getContext('2d')!.fillRect(0, 0, 900, 900)
      const blob = await new Promise<Blob>(done => canvas.toBlob(one => done(one!), 'image/png'))
      return [...new Uint8Array(await blob.arrayBuffer())]
    })
    await page
      .locator('.photos input[type="file"]')
      .setInputFiles({ name: 'halwa.png', mimeType: 'image/png', buffer: Buffer.from(picture) })
    await expect(page.locator('.photos img')).toHaveCount(1)
    const { photos } = (await (await page.request.get('/api/batches/demo-410/photos')).json()) as {
      photos: { id: string, width: number }[]
    }
    expect(photos[0]!.width).toBe(1280)
    const refused = await page.request.post('/api/batches/demo-410/photos', {
      data: Buffer.from('no picture'),
      headers: { 'content-type': 'image/jpeg' },
    })
    expect(refused.status()).toBe(422)
    const bare = await page.request.post('/api/batches/demo-410/photos', {
      data: jpegWithPlace(),
      headers: { 'content-type': 'image/jpeg' },
    })
    const kept = await page.request.get(`/api/photos/${(await bare.json() as { id: string }).id}`)
    expect((await kept.body()).includes('GPS-HERE')).toBe(false)
    await page.reload()
    await expect(
      page.getByRole('radiogroup', { name: 'Richness' }).getByRole('radio', { name: 'too lean' }),
    ).toBeChecked()
    await expect(page.locator('.story')).toContainText('the telephone rang')
  })

  test('takes a past batch in from memory, what is not known left open', async ({ page }) => {
    await page.goto('/ledger/remember')
    await page.getByRole('button', { name: 'Put it in the ledger' }).click()
    await expect(page.getByRole('alert').filter({ hasText: 'Nothing was kept' })).toBeVisible()
    await page.getByLabel('From lighting to the end of the roast').fill('14')
    await page.getByLabel('From lighting to off the fire').fill('26')
    await page.getByLabel('On the day').fill('2026-03-08')
    await page.getByRole('checkbox', { name: 'dry', exact: true }).check()
    await page.getByRole('button', { name: 'Put it in the ledger' }).click()
    await page.waitForURL(/ledger\/[a-z0-9-]{20,}/)
    await expect(page.getByRole('heading', { level: 1 })).toContainText('8 Mar')
    await expect(page.locator('.outcome')).toContainText('dry')
    await page.goto('/kitchen/learned')
    await expect(page.locator('.sources li').filter({ hasText: 'from memory' })).toHaveCount(1)
  })

  test('takes many past batches in from a table, and doubles none', async ({ page }) => {
    await page.goto('/ledger/remember')
    const table = {
      name: 'old.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        'dish,date,base,minutes,roast,faults,note\nBrick-kiln wheat,2025-10-12,250,24,9,runny,for the neighbours\nOld bowl,2025-10-19,1 cup,26,,,\nOld bowl,soon,300,25,,,\n',
      ),
    }
    const give = () => page.locator('.many input[type="file"]').setInputFiles(table)
    await give()
    await expect(page.getByText('Its day is not understood')).toBeVisible()
    await page.locator('.which .el-select').click()
    await page.getByRole('option', { name: 'Sweet-water semolina' }).click()
    await page.getByRole('button', { name: 'Put 2 in the ledger' }).click()
    await expect(page.getByText('2 kept.')).toBeVisible()
    await give()
    await page.getByRole('button', { name: /Put \d in the ledger/ }).click()
    await expect(page.getByText(/stood in the ledger already\./)).toBeVisible()
    const old = async (): Promise<number> => {
      const { batches } = (await (await page.request.get('/api/batches?limit=50&dish=brick-kiln-wheat')).json()) as {
        batches: { startedAt: number }[]
      }
      return batches.filter(one => new Date(one.startedAt).getUTCFullYear() === 2025).length
    }
    await expect.poll(old).toBe(1)
  })
})

test.describe('files', () => {
  test.use({ shared: false })
  test('go out and come in; a damaged backup is refused with a sentence, a whole one fills an empty house', async ({
    page,
  }) => {
    await page.goto('/ledger/copies')
    const backup = await (await page.request.get('/api/backup')).body()
    await page
      .locator('input[accept^=".gz"]')
      .setInputFiles({ name: 'house.jsonl.gz', mimeType: 'application/gzip', buffer: backup })
    const dialog = page.getByRole('dialog', { name: 'Something stands here already' })
    await expect(dialog).toContainText('19 batches')
    await nothingSerious(page, 'what stands here')
    await dialog.getByRole('button', { name: 'Leave it as it is' }).click()
    await expect(page.getByRole('status').filter({ hasText: 'Nothing was changed' })).toBeVisible()
    await page
      .locator('input[accept^=".gz"]')
      .setInputFiles({ name: 'house.jsonl.gz', mimeType: 'application/gzip', buffer: backup })
    await dialog.getByRole('button', { name: 'Put it aside and restore' }).click()
    await expect(page.getByRole('status').filter({ hasText: 'kept as the copy before-restore' })).toBeVisible()
    const batches = await (await page.request.get('/api/batches/export.jsonl')).body()
    await page
      .locator('input[accept^=".jsonl"]')
      .setInputFiles({ name: 'batches.jsonl', mimeType: 'application/jsonl', buffer: batches })
    await expect(page.getByRole('status').filter({ hasText: 'taken in' })).toContainText('stood here already')
    await page
      .locator('input[accept^=".jsonl"]')
      .setInputFiles({ name: 'bad.jsonl', mimeType: 'application/jsonl', buffer: Buffer.from('{"half":') })
    await expect(page.getByRole('status').filter({ hasText: 'cannot be read' })).toContainText('Nothing was changed')
    await expect(page.locator('.copies li')).toHaveCount(2)
  })

  test.describe('in an empty house', () => {
    test.use({ demo: false })
    test('are restored whole', async ({ page }) => {
      await page.goto('/tray')
      await expect(page.getByText('Nothing is in the house')).toBeVisible()
      await page.goto('/ledger/copies')
      const bad = Buffer.from('no backup at all')
      await page
        .locator('input[accept^=".gz"]')
        .setInputFiles({ name: 'bad.gz', mimeType: 'application/gzip', buffer: bad })
      await expect(page.getByRole('status').filter({ hasText: 'cannot be read' })).toBeVisible()
      const other = await runHearth({ demo: true, rate: 1 })
      const backup = Buffer.from(await (await fetch(`${other.url}/api/backup`)).arrayBuffer())
      await other.end()
      await page
        .locator('input[accept^=".gz"]')
        .setInputFiles({ name: 'house.jsonl.gz', mimeType: 'application/gzip', buffer: backup })
      await expect(page.getByRole('status').filter({ hasText: 'Restored' })).toBeVisible()
      await page.goto('/ledger')
      await expect(page.getByRole('heading', { level: 1 })).toContainText('19 batches')
      await page.goto('/tray')
      await expect(page.locator('.shelf li')).toHaveCount(3)
    })
  })
})

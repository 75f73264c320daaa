import { replay } from '../../core/record/replay/replay'
import { atTheFire, cookImaginary, RATE, tap, type Cooked } from './imaginaryCook'
import { expect, test } from './hearth'

test.describe('mistakes made and put right, at 600 times the speed', () => {
  test.describe.configure({ timeout: 300_000 })
  test.use({ rate: RATE, held: true })
  const marks = (cooked: Cooked, kind: string) => cooked.observations.filter(one => one.kind === kind)

  test('sugar that was forgotten goes in, exactly as much as it was, and the dish is finished', async ({
    page,
    moveOn,
    complaints,
  }) => {
    await atTheFire(page, 'winter-market-carrot')
    const cooked = await cookImaginary({ page, moveOn, rate: RATE }, 31, [
      {
        stage: 'sweeten',
        async act(at) {
          await at.keyboard.press('m')
          await at.getByRole('button', { name: 'Forgot the sugar' }).click()
          await at.keyboard.press('x')
          await at.getByRole('button', { name: 'not sweet enough' }).click()
          await expect(at.getByText('this cook says so').first()).toBeVisible()
          await at.locator('[data-way="add-forgotten"]').click()
        },
      },
    ])
    const sugar = cooked.plan.amounts.find(one => one.id === 'sugar')!
    const [repair] = marks(cooked, 'repaired')
    expect((repair!.payload.adds as { massG: number }[])[0]!.massG).toBe(Math.round(sugar.massG))
    expect(replay(cooked.plan, cooked.observations).finishedS).not.toBeNull()
    expect(complaints.list).toEqual([])
  })

  test("a flame left low after the pour is owned up to by the cook's own record, and raised", async ({
    page,
    moveOn,
    complaints,
  }) => {
    await atTheFire(page, 'sweet-water-semolina')
    const cooked = await cookImaginary({ page, moveOn, rate: RATE }, 32, [
      {
        stage: 'take-up',
        async act(at) {
          await at.keyboard.press('m')
          const flames = at.getByRole('group', { name: /under the pan/ })
          await flames.getByRole('button').nth(1).click()
          await at.keyboard.press('x')
          await at.getByRole('button', { name: 'runny, will not tighten' }).click()
          await expect(at.getByText('the flame stayed low after the turn')).toBeVisible()
          await at.locator('[data-way="boil-off"]').click()
          await at.keyboard.press('m')
          await flames.getByRole('button').nth(5).click()
          await at.keyboard.press('Escape')
        },
      },
    ])
    expect(marks(cooked, 'flame.changed').length).toBeGreaterThanOrEqual(2)
    expect(marks(cooked, 'repaired')[0]!.payload).toMatchObject({ fault: 'runny', way: 'boil-off' })
    expect(complaints.list).toEqual([])
  })

  test('a stray tap is taken back, and a pour that came too early is owned up to', async ({
    page,
    moveOn,
    complaints,
  }) => {
    await atTheFire(page, 'sweet-water-semolina')
    const cooked = await cookImaginary({ page, moveOn, rate: RATE }, 33, [
      {
        stage: 'nuts',
        offered: 'sign.nuts-golden',
        async act(at) {
          await expect.poll(() => tap(at, 'sign.nuts-golden')).toBe(true)
          await expect(at.getByText(/Take back: marked nuts/)).toBeVisible()
          await at.keyboard.press('z')
        },
      },
      {
        stage: 'pour',
        async act(at) {
          await at.keyboard.press('m')
          await at.getByRole('button', { name: 'Poured too early' }).click()
          await at.keyboard.press('Escape')
        },
      },
    ])
    expect(marks(cooked, 'withdrawn').length).toBeGreaterThanOrEqual(1)
    expect(marks(cooked, 'slip')[0]!.payload).toEqual({ what: 'poured-early' })
    expect(complaints.list).toEqual([])
  })
})

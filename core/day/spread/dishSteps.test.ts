import { describe, expect, it } from 'vitest'
import { laidOut, toldApart } from '../../../test/support/laidOut'
import { starter } from '../../../test/support/plans'
import { dishSteps } from './dishSteps'

/**
 * Steps as the craft asks for them: a roasted base waits no longer than five minutes, a hot liquid ten before it is
 * heated again, a syrup five; paste, purée and gratings go in within the hour; soaking may be put on the night before.
 * Stages last 12 minutes and one more for each before them, so that what was joined can be told.
 */
const LAID: Readonly<Record<string, readonly string[]>> = {
  'sweet-water-semolina': [
    'nuts 10/12/15 1h fire hot',
    'roast 11/13/16 1h fire hot',
    'pour 13/15/18 1h hot',
    'take-up 29/33/39 1h fire hot',
    'sweet-water 12/14/17 0h fire',
    'nuts > roast 0.. nuts',
    'roast > pour 0..5 hotbase',
    'pour > take-up 0..3 hot',
    'heavy: nuts - nuts',
    'pot: sweet-water - pour',
    'heavy: roast - take-up',
    'hot: sweet-water > pour ..10, again 3/4/6 ..120',
    'ends with take-up, ready 18',
  ],
  'one-thread-gram': [
    'roast 10/12/15 1h fire hot',
    'pour 12/14/17 1h hot',
    'take-up 27/31/37 1h fire hot',
    'syrup 11/13/16 0.5h fire',
    'nuts-last 15/17/20 0.5h fire',
    'free-share 54/60/69 1h',
    'cut 4/6/9 1h',
    'roast > pour 0..5 hotbase',
    'pour > take-up 0..3 hot',
    'nuts-last > free-share 0.. nuts',
    'take-up > free-share 18..78 rest',
    'free-share > cut 20..720 set',
    'pot: syrup - pour',
    'tray: free-share - cut',
    'heavy: roast - take-up',
    'hot: syrup > pour ..5, again 3/4/6 ..40',
    'ends with cut, ready 2',
  ],
  'marble-gram-balls': [
    'roast 10/12/15 1h fire hot',
    'rub-in 12/14/17 1h hot',
    'roll 13/15/18 1h',
    'roast > rub-in 11..73 cool',
    'rub-in > roll 0..15 rest',
    'heavy: roast - rub-in',
    'ends with roll, ready 2',
  ],
  'long-spoon-mung': [
    'wash 4/5/7 1h night',
    'grind 12/14/17 1h grinder',
    'nuts 13/15/18 1h fire hot',
    'paste 29/33/39 1h fire hot',
    'pour 17/19/22 1h hot',
    'take-up 100/110/125 1h fire hot',
    'hot-milk 16/18/21 0h fire',
    'wash > grind 25..840 drain',
    'nuts > paste 0.. nuts',
    'grind > paste 0..60 paste',
    'paste > pour 0..5 hotbase',
    'pour > take-up 0..3 hot',
    'heavy: nuts - nuts',
    'pot: hot-milk - pour',
    'heavy: paste - take-up',
    'hot: hot-milk > pour ..10, again 3/4/6 ..120',
    'ends with take-up, ready 25',
  ],
  'cellar-beetroot': [
    'grate 10/12/15 1h',
    'press 11/13/16 0h fire hot',
    'open 2/3/4 1h',
    'milk 42/48/57 1h fire hot',
    'nuts-last 16/18/21 0.5h fire',
    'free-share 37/41/47 1h',
    'grate > press 0..60 grated',
    'press > open 10..20 cool',
    'open > milk 0..5 hotbase',
    'nuts-last > free-share 0.. nuts',
    'milk > free-share 19..79 rest',
    'ppan: press - open',
    'heavy: milk - milk',
    'ends with free-share, ready 2',
  ],
  'well-head-semolina': [
    'roast-dry 10/12/15 1h fire hot',
    'rain 12/14/17 1h fire hot',
    'swell 13/15/18 0.5h fire hot',
    'sweeten 62/70/82 1h fire hot',
    'hot-water 11/13/16 0h fire',
    'nuts-last 18/20/23 0.5h fire',
    'free-share 41/45/51 1h',
    'roast-dry > rain 0..60 prep',
    'rain > swell 0..3 hot',
    'swell > sweeten 0..3 hot',
    'nuts-last > free-share 0.. nuts',
    'sweeten > free-share 21..81 rest',
    'heavy: roast-dry - rain',
    'heavy: hot-water - sweeten',
    'hot: hot-water > rain ..10, again 3/4/6 ..120',
    'ends with free-share, ready 2',
  ],
  'winter-market-carrot': [
    'grate 10/12/15 1h',
    'nuts 11/13/16 1h fire hot',
    'soften 12/14/17 0.5h fire hot',
    'grate-2 10/12/15 0.5h',
    'soften-2 13/15/18 1h fire hot',
    'milk 45/51/60 1h fire hot',
    'nuts > soften 0.. nuts',
    'grate > soften 0..60 grated',
    'grate > grate-2 0.. lots',
    'grate-2 > soften-2 0..60 grated',
    'soften > soften-2 0..3 hot',
    'soften-2 > milk 0..5 hotbase',
    'heavy: nuts - nuts',
    'heavy: soften - milk',
    'ends with milk, ready 19',
  ],
  'lamp-eve-coconut': [
    'soften 11/13/16 1h fire hot',
    'sweeten 25/29/35 1h fire hot',
    'melt 10/12/15 0.5h fire',
    'roll 15/17/20 1h',
    'soften > sweeten 0..5 hotbase',
    'melt > sweeten 0.. melted',
    'sweeten > roll 16..31 rest',
    'pot: melt - melt',
    'heavy: soften - sweeten',
    'ends with roll, ready 2',
  ],
  'rain-day-mung': [
    'wash 4/5/7 1h night',
    'press 11/13/16 0h fire',
    'open 2/3/4 1h',
    'puree 13/15/18 1h grinder',
    'nuts 15/17/20 1h fire hot',
    'soften 16/18/21 1h fire hot',
    'sweeten 35/39/45 1h fire hot',
    'melt 14/16/19 0.5h fire',
    'wash > press 12..840 soak',
    'press > open 10..20 cool',
    'open > puree 0..60 prep',
    'nuts > soften 0.. nuts',
    'puree > soften 0..60 paste',
    'soften > sweeten 0..5 hotbase',
    'melt > sweeten 0.. melted',
    'ppan: press - open',
    'heavy: nuts - nuts',
    'pot: melt - melt',
    'heavy: soften - sweeten',
    'ends with sweeten, ready 21',
  ],
}
const ofDay = { id: 'd1', meal: 'm1', serve: 'hot', large: false } as const

describe('the steps of a dish on a day', () => {
  it.each(Object.entries(LAID))('%s', (id, lines) => {
    const dish = starter(id)
    expect(laidOut(dishSteps(dish, toldApart(dish), ofDay))).toEqual(lines)
  })

  it('take a large pan, and a wide one for milk that is boiled down, where there is much of it', () => {
    const dish = starter('sweet-water-semolina')
    expect(laidOut(dishSteps(dish, toldApart(dish), { ...ofDay, large: true }))).toContain('heavyL: roast - take-up')
  })
})

import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../book/dishes'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { INGREDIENTS } from '../../book/ingredients'
import { examplePlan } from '../support/plans'
import { rememberBatch, type Remembered } from '../../core/cook/batch/rememberBatch'
import { bringBack } from '../../core/cook/after/bringBack'
import { CoreError } from '../../core/error'
import { cupVolumeMl } from '../../core/formulation/measures/cupVolumeMl'
import { grindSurplus } from '../../core/formulation/preparing/grindSurplus'
import { milkFor } from '../../core/formulation/preparing/milkYields'
import { preparedWeight } from '../../core/formulation/preparing/preparedWeight'
import { reduceMilk } from '../../core/formulation/preparing/reduceMilk'
import { trayVolumeMl } from '../../core/formulation/scale/trayVolumeMl'
import { ballsOf } from '../../core/formulation/tray/ballsOf'
import { bowlsOf } from '../../core/formulation/tray/bowlsOf'
import { LEAST_CUT_MM, MOST_CUT_MM, type Cut } from '../../core/formulation/tray/cut'
import { cutForCount } from '../../core/formulation/tray/cutForCount'
import { cutForFewer } from '../../core/formulation/tray/cutForFewer'
import { lattice } from '../../core/formulation/tray/lattice'
import { outlineOf } from '../../core/formulation/tray/outline'
import { trayFill } from '../../core/formulation/tray/trayFill'
import { shareByTime } from '../../core/materials/syrup/syrupByTime'
import { shareByWeight, weightAtShare } from '../../core/materials/syrup/syrupByWeight'
import { syrupAtShare } from '../../core/materials/syrup/syrupAtShare'
import { saturationTempC } from '../../core/materials/water/saturationTempC'
import { airPressurePa } from '../../core/materials/water/airPressurePa'
import { readBoilCheck } from '../../core/process/boil/readBoilCheck'
import { coolSlab } from '../../core/process/cooling/coolSlab'
import { rollingSpan } from '../../core/process/cooling/rollingSpan'
import type { BoilCheck } from '../../core/process/boil/boilCheck'
import { planFlames } from '../../core/process/flame/planFlames'
import { keepingOf } from '../../core/process/keeping/keepingOf'

const tray = { shape: 'rectangle', widthMm: 200, lengthMm: 300, depthMm: 40 } as const
const cut: Cut = { firstMm: 30, secondMm: 30, turnDeg: 0, slantDeg: 90 }
const whole = { waterG: 200, solidsG: 200, fatG: 100, sugarG: 200, nutsG: 0 }
const slab = { depthM: 0.02, startC: 95, airC: 25, conductivity: 0.4, volumeHeat: 3e6, topW: 10, baseW: 10 }
const plan = examplePlan()
const vessel = plan.vessels.pan!.vessel
const facts = { activity: { low: 0.4, high: 0.5 }, milk: false, produce: false, coconut: false, hands: false, roomC: 24 }
const told: Remembered = {
  card: STARTER_DISHES[0]!, baseG: 250, pan: FIRST_KITCHEN.pans[0]!, fire: FIRST_KITCHEN.fires[0]!, cup: FIRST_KITCHEN.measures[0]!,
  mark: null, roastMin: 10, totalMin: 40, atMs: 0, finishedG: null, outcome: null,
}
const check: BoilCheck = {
  id: 'c', fire: { id: 'f', kind: 'gas', mark: 'm3', watts: 900 }, pan: { id: 'p', vessel, massGuessed: false }, lid: true, waterG: 700,
  fromC: 25, boilS: 300, half: null, boiledOn: null, atBoilC: null, airC: 27, altitudeM: 0, when: 0,
}
const as = <T extends object>(of: T, key: keyof T, value: number): T => ({ ...of, [key]: value })

/** What each range belongs to, called with one of its values; what it takes at least and at most. */
const RANGES: Readonly<Record<string, readonly [call: (value: number) => unknown, min: number, max: number]>> = {
  'cupVolumeMl.emptyG': [v => cupVolumeMl(v, 400), 0, 20_000],
  'cupVolumeMl.fullG': [v => cupVolumeMl(100, v), 101, 25_000],
  'trayVolumeMl.widthMm': [v => trayVolumeMl(as<typeof tray>(tray, 'widthMm', v), 30), 20, 2000],
  'trayVolumeMl.lengthMm': [v => trayVolumeMl(as<typeof tray>(tray, 'lengthMm', v), 30), 20, 2000],
  'trayVolumeMl.depthMm': [v => trayVolumeMl(tray, v), 1, 200],
  'grindSurplus.neededG': [v => grindSurplus(v, 0.9), 1, 20_000],
  'grindSurplus.ground': [v => grindSurplus(100, v), 0.5, 1],
  'preparedWeight.preparedG': [v => preparedWeight(v, INGREDIENTS.find(one => one.id === 'carrot-red')!.yields!, 'grated'), 0, 50_000],
  'reduceMilk.fromG': [v => reduceMilk(v, 300, 800, 25), 20, 20_000],
  'reduceMilk.toG': [v => reduceMilk(1000, v, 800, 25), 120, 1000],
  'reduceMilk.powerW': [v => reduceMilk(1000, 300, v, 25), 50, 6000],
  'reduceMilk.startC': [v => reduceMilk(1000, 300, 800, v), 0, 100],
  'milkFor.wantedG': [v => milkFor(v, 'curds'), 5, 5000],
  'ballsOf.massG': [v => ballsOf(v, 1, { eachG: 30 }), 1, 50_000],
  'ballsOf.density': [v => ballsOf(500, v, { eachG: 30 }), 0.4, 2],
  'ballsOf.count': [v => ballsOf(500, 1, { count: v }), 1, 2000],
  'ballsOf.eachG': [v => ballsOf(500, 1, { eachG: v }), 3, 500],
  'ballsOf.diameterMm': [v => ballsOf(500, 1, { diameterMm: v }), 12, 120],
  'cutForFewer.count': [v => cutForFewer(tray, cut, v), 1, 400],
  'cutForCount.count': [v => cutForCount(tray, cut, v), 1, 400],
  'trayFill.volumeMl': [v => trayFill(v, tray, 20), 1, 100_000],
  'trayFill.wantedMm': [v => trayFill(1000, tray, v), 2, 150],
  'outlineOf.widthMm': [v => outlineOf(as<typeof tray>(tray, 'widthMm', v)), 20, 2000],
  'outlineOf.lengthMm': [v => outlineOf(as<typeof tray>(tray, 'lengthMm', v)), 20, 2000],
  'lattice.firstMm': [v => lattice(as(cut, 'firstMm', v), { first: 0, second: 0 }), LEAST_CUT_MM, MOST_CUT_MM],
  'lattice.secondMm': [v => lattice(as(cut, 'secondMm', v), { first: 0, second: 0 }), LEAST_CUT_MM, MOST_CUT_MM],
  'lattice.turnDeg': [v => lattice(as(cut, 'turnDeg', v), { first: 0, second: 0 }), -90, 90],
  'lattice.slantDeg': [v => lattice(as(cut, 'slantDeg', v), { first: 0, second: 0 }), 20, 160],
  'bowlsOf.massG': [v => bowlsOf(v, 1, 150), 1, 50_000],
  'bowlsOf.density': [v => bowlsOf(500, v, 150), 0.4, 2],
  'bowlsOf.bowlMl': [v => bowlsOf(500, 1, v), 20, 5000],
  'shareByWeight.sugarG': [v => shareByWeight(v, 300), 1, 50_000],
  'shareByWeight.syrupG': [v => shareByWeight(90, v), 90 / 0.92, 900],
  'weightAtShare.sugarG': [v => weightAtShare(v, 0.7), 1, 50_000],
  'weightAtShare.share': [v => weightAtShare(100, v), 0.1, 0.92],
  'syrupAtShare.share': [v => syrupAtShare(v, 0, 101_325), 0.1, 0.92],
  'syrupAtShare.invertShare': [v => syrupAtShare(0.7, v, 101_325), 0, 1],
  'syrupAtShare.airPressurePa': [v => syrupAtShare(0.7, 0, v), 45_000, 110_000],
  'shareByTime.sugarG': [v => shareByTime(v, 300, 100, 800), 1, 50_000],
  'shareByTime.waterG': [v => shareByTime(300, v, 100, 800), 1, 150_000],
  'shareByTime.boiledS': [v => shareByTime(300, 300, v, 800), 0, 20_000],
  'shareByTime.powerW': [v => shareByTime(300, 300, 100, v), 20, 6000],
  'airPressurePa.altitudeM': [airPressurePa, -400, 6000],
  'readBoilCheck.waterG': [v => readBoilCheck(as(check, 'waterG', v)), 50, 20_000],
  'readBoilCheck.boilS': [v => readBoilCheck(as(check, 'boilS', v)), 10, 5400],
  'readBoilCheck.fromC': [v => readBoilCheck(as(check, 'fromC', v)), 0, saturationTempC(101_325) - 15],
  'keepingOf.roomC': [v => keepingOf(as(facts, 'roomC', v)), -20, 55],
  'keepingOf.activity': [v => keepingOf({ ...facts, activity: { low: 0.4, high: v } }), 0, 1],
  'planFlames.patienceS': [v => planFlames(plan, { step: 'golden', patienceS: v, risk: 0.05 }), 60, 7200],
  'planFlames.risk': [v => planFlames(plan, { step: 'golden', patienceS: 900, risk: v }), 0.001, 0.5],
  'rollingSpan.startC': [v => rollingSpan(whole, vessel, v, 25, 10), 20, 180],
  'rollingSpan.airC': [v => rollingSpan(whole, vessel, 90, v, 10), -20, 50],
  'rollingSpan.lossW': [v => rollingSpan(whole, vessel, 90, 25, v), 4, 40],
  'coolSlab.depthM': [v => coolSlab(as(slab, 'depthM', v), 40), 0.001, 0.2],
  'coolSlab.startC': [v => coolSlab(as(slab, 'startC', v), 40), -60, 180],
  'coolSlab.airC': [v => coolSlab(as(slab, 'airC', v), 40), -60, 60],
  'planCook.baseG': [v => examplePlan({ baseG: v }), 5, 20_000],
  'bringBack.portionG': [v => bringBack(whole, v, 'hot', true, 20, 25, 300, null), 1, 50_000],
  'bringBack.thickMm': [v => bringBack(whole, 100, 'hot', true, v, 25, 300, null), 2, 150],
  'bringBack.roomC': [v => bringBack(whole, 100, 'hot', true, 20, v, 300, null), 8, 50],
  'bringBack.lowW': [v => bringBack(whole, 100, 'hot', true, 20, 25, v, null), 20, 6000],
  'rememberBatch.baseG': [v => rememberBatch(as(told, 'baseG', v), INGREDIENTS), 20, 20_000],
  'rememberBatch.totalMin': [v => rememberBatch(as(told, 'totalMin', v), INGREDIENTS), 3, 300],
  'rememberBatch.roastMin': [v => rememberBatch(as(told, 'roastMin', v), INGREDIENTS), 0, 40],
}

describe('a number outside its range', () => {
  it.each(Object.entries(RANGES))('%s is refused, with what is taken', (path, [call, min, max]) => {
    for (const bad of [Number.NaN, -Infinity, Infinity]) {
      let refused: unknown
      try {
        call(bad)
      }
      catch (error) {
        refused = error
      }
      expect(refused, `${bad}`).toBeInstanceOf(CoreError)
      const { code, path: where, limits } = refused as CoreError
      expect([code, where, limits.given]).toEqual(['out-of-range', path, String(bad)])
      expect([limits.min, limits.max].map(Number)).toEqual([expect.closeTo(min, 6), expect.closeTo(max, 6)])
    }
  })

  it('is looked for here wherever the core names a range', () => {
    const named = readdirSync('core', { recursive: true, encoding: 'utf8' })
      .filter(file => file.endsWith('.ts') && !file.endsWith('.test.ts') && file !== 'requireRange.ts')
      .flatMap(file => [...readFileSync(join('core', file), 'utf8').matchAll(/requireRange\(\s*'([^']+)'/g)].map(([, path]) => path!))
    expect(named.filter(path => !(path in RANGES))).toEqual([])
    expect(Object.keys(RANGES).filter(path => !named.includes(path))).toEqual([])
  })
})

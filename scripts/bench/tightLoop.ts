/**
 * The floor the simulation is held against: the same equations of one vessel, written out as one loop over local
 * variables, without stages, signs, records or a second vessel. Returns a number so that nothing is optimised away.
 */
export function tightLoop(steps: number, stepS: number, powerW: number): number {
  let pan = 27, food = 27, water = 30, held = 30, browning = 0, aroma = 0, charring = 0, vapour = 0
  const solids = 220, fat = 97, sugar = 0, panHeat = 745, baseArea = 0.0531, wallArea = 0.0613, rim = 0.817, air = 27
  for (let i = 0; i < steps; i++) {
    const content = 4.18 * water + 1.55 * solids + 2.1 * fat + 1.3 * sugar
    const mass = water + solids + fat + sugar
    const free = water - held
    const liquid = Math.min(1, (free + fat) / mass)
    const grain = solids / 1.45 + held / 0.98
    const dryShare = Math.max(0, 1 - held / (1.5 * solids))
    const volume = grain + Math.max(grain * 0.42 / 0.58 * dryShare, fat / 0.89 + free / 0.98) + sugar / 1.59
    const touching = baseArea + rim * Math.min(0.075, volume * 1e-6 / baseArea)
    const toFood = (100 + 900 * liquid) * touching
    const wallLoss = 13 * wallArea * (1 + Math.max(0, pan - air) / 500)
    const topLoss = 13 * baseArea * 0.7
    const ph = panHeat / stepS, fh = content / stepS
    const a11 = ph + wallLoss + toFood, a22 = fh + topLoss + toFood
    const b1 = ph * pan + powerW + wallLoss * air, b2 = fh * food + topLoss * air
    const det = a11 * a22 - toFood * toFood
    pan = (b1 * a22 + toFood * b2) / det
    food = (a11 * b2 + toFood * b1) / det
    const moisture = water / solids
    const a = Math.max(0.02, 0.128 - 0.0006 * (food - 25))
    const ratio = (moisture / a) ** (1 / 0.35)
    const activity = moisture < 2 ? ratio / (1 + ratio) : 1
    const y = Math.log(101325 / activity / 611.21)
    const half = (18.678 - y) * 117.25
    const inside = half * half - 257.14 * y * 234.5
    const boiling = inside > 0 ? Math.min(260, half - Math.sqrt(inside)) : 260
    if (food > boiling) {
      const gone = Math.min(water / 2, content * (food - boiling) / 2257 * (1 - Math.exp(-stepS / 40)))
      water -= gone
      held -= gone
      vapour += gone
      food -= 2257 * gone / (content - 4.18 * gone)
    }
    const film = food + 0.22 * (pan - food)
    if (film >= 85) {
      browning += Math.exp(63000 / 8.314 * (1 / 423.15 - 1 / (film + 273.15))) * stepS
      aroma += Math.exp(78000 / 8.314 * (1 / 423.15 - 1 / (film + 273.15))) * stepS
      charring += Math.exp(210000 / 8.314 * (1 / 423.15 - 1 / (film - 25 + 273.15))) * stepS
    }
  }
  return browning + aroma + charring + vapour + food
}

import { clampChroma, formatHex, modeLab65, modeLch65, modeRgb, modeXyz65, useMode } from 'culori/fn'
import type { Lab } from './lab'

// The small build of the colour library knows only the modes that are registered here.
useMode(modeXyz65)
useMode(modeLab65)
useMode(modeLch65)
const toRgb = useMode(modeRgb)

/**
 * The screen colour of a CIELAB colour (D65), drawn into the sRGB gamut by lowering its chroma where it lies outside.
 * A screen and a kitchen light are not calibrated: this shows a forecast, it is not a measurement.
 *
 * @param lab colour in CIELAB under D65
 * @returns `#rrggbb`
 * @example labToHex({ lightness: 76, a: 4, b: 27 })
 */
export function labToHex(lab: Lab): string {
  const inGamut = clampChroma({ mode: 'lab65', l: lab.lightness, a: lab.a, b: lab.b }, 'lab65')
  return formatHex(toRgb(inGamut)) ?? '#000000'
}

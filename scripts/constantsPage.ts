import { COLOUR_STEPS } from '../core/formulation/signs/signIds'
import { firstBelief } from '../core/process/belief/firstBelief'
import { STEADINESS } from '../core/materials/belief/steadiness'
import { CONSTANTS } from '../core/materials/constants/constants'
import { familyOf } from '../core/formulation/family/families'
import { FAMILY_IDS } from '../core/formulation/family/family'

const row = (cells: readonly (string | number)[]): string => `| ${cells.map(cell => String(cell).replaceAll('|', '\\|')).join(' | ')} |`
const table = (head: readonly string[], rows: readonly (readonly (string | number)[])[]): string => [row(head), row(head.map(() => '---')), ...rows.map(row)].join('\n')

/**
 * Every number of the model as a page of the documents.
 *
 * @returns Markdown
 */
export function constantsPage(): string {
  const families = FAMILY_IDS.map(id => familyOf(id))
  return `# Every number of the model

Written by \`npm run schemas\` from the code that uses them. *Estimate* marks a prior without a source; *recalled, unchecked* a source
cited from memory. How they enter the equations: [the model](model.md).

## Drawn anew in every run

A factor's spread is one standard deviation of its natural logarithm; a distance's stands in its own unit.

${table(['number', 'middle', 'spread', 'kind', 'unit', 'from'], firstBelief().entries.map(one => [one.name, one.median, one.spread, one.kind, one.unit, one.basis]))}

## Held fixed

${table(['number', 'value', 'may be off by', 'unit', 'from'], CONSTANTS.map(one => [one.id, one.value, one.spread, one.unit, one.basis]))}

## How steady they are

One standard deviation in the belief's own scale: from day to day, in a season of ninety days, and after a change that was told (a new bag, a
cleaned burner). Estimates, but for the fires' 12 % from day to day, which was measured.

${table(['number', 'day', 'season', 'change'], STEADINESS.map(one => [one.of, one.day, one.season, one.change]))}

## Families

L* of the raw base in fat, of endless browning, and at which each colour step begins; changes of L* once wetted and as it grows dense;
grain radius in mm; most water and fat held, g per g of dry solids; share of air raw and soft.

${table(
  ['family', 'raw', 'end', ...COLOUR_STEPS, 'wetted', 'dense', 'radius', 'water', 'fat', 'air raw', 'air soft', 'from'],
  families.map(one => [one.id, one.rawLightness, one.finalLightness, ...COLOUR_STEPS.map(step => one.stepLightness[step]), one.wetLift, one.doneDarkening, one.grainRadiusMm, one.mostWaterPerSolids, one.mostFatPerSolids, one.rawAir, one.softAir, one.source]),
)}
`
}

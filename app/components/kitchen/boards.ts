import type { Kitchen, ShelfName } from '../../../contracts/kitchen'
import type { Evidence } from '../../../core/materials/belief/reading'
import { drawnSize } from '../../../core/formulation/measures/drawnSize'
import { guessMassG } from '../../../core/materials/vessel/guessMassG'
import { ORIGIN_WORDS } from '../../../words/measure'
import { gramsText } from '../../composables/format'
import { cupDrawing, fireDrawing, panDrawing, trayDrawing } from '../../drawings/things'

/** Shelves whose things stand on boards and are edited in the hand. */
export type Board = Extract<ShelfName, 'measures' | 'pans' | 'fires' | 'trays'>

/**
 * What stands on the boards of the kitchen, drawn and in words.
 *
 * @param kitchen the kitchen's shelves
 * @param evidence what batches have taught of its fires
 * @returns the boards, top to bottom
 */
export function boardsOf(kitchen: Kitchen, evidence: readonly Evidence[]) {
  return [
    {
      shelf: 'measures' as const,
      title: 'Cups and spoons',
      adds: [
        ['cup', 'Another cup'],
        ['spoon', 'Another spoon'],
      ] as const,
      things: kitchen.measures.map(one => ({
        id: one.id,
        name: one.name,
        size: `${Math.round(one.volumeMl * 10) / 10} ml`,
        note: ORIGIN_WORDS[one.origin],
        drawing: cupDrawing(one),
      })),
    },
    {
      shelf: 'pans' as const,
      title: 'Pans and pots',
      adds: [
        ['pan', 'Another pan'],
        ['pot', 'Another pot'],
        ['pressure', 'A pressure pan'],
      ] as const,
      things: kitchen.pans.map(one => ({
        id: one.id,
        name: one.name,
        size: `${one.innerDiameterMm / 10} × ${one.depthMm / 10} cm`,
        drawing: panDrawing(one),
        note: `${one.material.replace('-', ' ')}${one.coated ? ', coated' : ''}, ${gramsText(one.massG)} ${one.massOrigin === 'guess' ? 'as a guess' : ORIGIN_WORDS[one.massOrigin]}`,
      })),
    },
    {
      shelf: 'fires' as const,
      title: 'Fires',
      adds: [['fire', 'Another fire']] as const,
      things: kitchen.fires.map(one => ({
        id: one.id,
        name: one.name,
        size: `${one.marks.length} marks, ${one.marks[0]?.watts} to ${one.marks.at(-1)?.watts} W`,
        drawing: fireDrawing(one),
        note: [ORIGIN_WORDS[one.origin], learnedOf(one.id, evidence)].filter(Boolean).join('; '),
      })),
    },
    {
      shelf: 'trays' as const,
      title: 'Trays and plates',
      adds: [['tray', 'Another tray']] as const,
      things: kitchen.trays.map(one => ({
        id: one.id,
        name: one.name,
        size: one.shape === 'round' ? `${one.widthMm / 10} cm round` : `${one.widthMm / 10} × ${one.lengthMm / 10} cm`,
        note: `${one.depthMm / 10} cm deep`,
        drawing: trayDrawing(one),
      })),
    },
  ]
}

/** What past batches and boil checks say of a fire's power against what is entered. */
function learnedOf(id: string, evidence: readonly Evidence[]): string {
  const found = evidence.filter(one => one.name === `fire.${id}`)
  if (found.length === 0) return ''
  const weight = found.reduce((sum, one) => sum + 1 / (one.variance + SCATTER), 0)
  const mean = found.reduce((sum, one) => sum + one.value / (one.variance + SCATTER), 0) / weight
  return `gives about ${Math.round(100 * Math.exp(mean))} % of that by ${found.length} ${found.length === 1 ? 'reading' : 'readings'}`
}

/** Inner diameter and depth of what is put on the shelf before it is measured, mm. */
const SIZES = { pan: [240, 70], pot: [180, 110], pressure: [220, 130] } as const

/** Scatter of a fire from day to day in log power, squared: 12 %, see docs/model.md. */
const SCATTER = 0.0144

/**
 * A thing as it is put on a shelf before anything is known of it: every number a guess.
 *
 * @param kind cup, spoon, pan, pot, pressure pan, fire or tray
 * @param id its id
 * @returns its shelf and the thing; null for no such kind
 */
export function newThing(
  kind: string,
  id: string,
): { readonly shelf: Board, readonly item: Kitchen[Board][number] } | null {
  switch (kind) {
    case 'cup':
    case 'spoon': {
      const volumeMl = kind === 'cup' ? 200 : 15
      return {
        shelf: 'measures',
        item: { id, name: `New ${kind}`, kind, volumeMl, origin: 'guess', ...drawnSize(volumeMl, kind) },
      }
    }
    case 'pan':
    case 'pot':
    case 'pressure': {
      const [innerDiameterMm, depthMm] = SIZES[kind]
      return {
        shelf: 'pans',
        item: {
          id,
          name: kind === 'pressure' ? 'New pressure pan' : `New ${kind}`,
          kind,
          material: 'steel',
          innerDiameterMm,
          depthMm,
          massG: guessMassG(innerDiameterMm, depthMm, 'steel'),
          massOrigin: 'guess',
          coated: false,
        },
      }
    }
    case 'fire':
      return {
        shelf: 'fires',
        item: {
          id,
          name: 'New fire',
          origin: 'guess',
          marks: [
            { id: 'm1', label: 'small', watts: 350 },
            { id: 'm2', label: 'middle', watts: 700 },
            { id: 'm3', label: 'big', watts: 1300 },
          ],
        },
      }
    case 'tray':
      return {
        shelf: 'trays',
        item: { id, name: 'New tray', shape: 'rectangle', widthMm: 200, lengthMm: 200, depthMm: 30 },
      }
    default:
      return null
  }
}

import type { DishCard, Stage } from '../dish'
import { idsOf, stage } from './shape'

/** A stage away from the fire, before it is lit. */
function ready(id: string, minutes: number, more: Partial<Stage>): Stage {
  return stage(id, 'prepare', 'table', { phase: 'before', flame: 'off', until: { minutes }, ...more })
}

/**
 * What is got ready before the fire: soaking, drying, grinding, grating, melting and straining, steeping.
 *
 * @param card the dish
 * @returns its stages before the fire, in order; minutes are the usual ones (estimates, as kitchens know them)
 */
export function beforeStages(card: DishCard): Stage[] {
  const base = [card.base]
  const jaggery = idsOf(card, 'jaggery')
  const steeped = idsOf(card, 'steeped')
  return [
    ...preparationStages(card, base),
    ...(jaggery.length > 0
      ? [stage('melt', 'melt', 'pot', {
          phase: 'before', flame: 'low', until: { sign: 'melted' }, hands: 0.5, handles: jaggery, watch: ['strain'], cautions: ['hot-sweet'],
        })]
      : []),
    ...(steeped.length > 0 ? [ready('steep', 10, { handles: steeped, hands: 0, watch: ['steep-warm'] })] : []),
  ]
}

function preparationStages(card: DishCard, handles: readonly string[]): Stage[] {
  switch (card.choices.preparation) {
    case 'raw-paste': return [
      ready('soak', 240, { handles, hands: 0, watch: ['soak-cool'] }),
      ready('drain', 15, { handles, hands: 0, watch: ['drain-well'] }),
      ready('grind', 10, { handles, watch: ['no-water-no-whole'], cautions: ['grinder'] }),
    ]
    case 'fine-paste': return [
      ready('soak', 240, { handles, hands: 0, watch: ['soak-cool'] }),
      ready('grind', 14, { handles, watch: ['ground-silky'], cautions: ['grinder'] }),
    ]
    case 'dry-ground': return [
      ready('wash-dry', 240, { handles, hands: 0 }),
      stage('roast-whole', 'roast', 'pan', {
        phase: 'before', flame: 'low', until: { sign: 'aroma' }, handles, watch: ['stir-always'], expect: ['darkens-on'],
      }),
      ready('cool-whole', 25, { handles, hands: 0 }),
      ready('grind', 8, { handles, watch: ['grainy-not-dust', 'surplus-to-store'], cautions: ['grinder'] }),
    ]
    case 'cooked-puree': return [
      ready('soak', 120, { handles, hands: 0, watch: ['soak-cool'] }),
      ...(card.choices.cooking === 'pressure'
        ? [
            stage('press', 'press', 'pressure-pan', {
              phase: 'before', lid: true, until: { minutes: 12 }, handles: [...handles, ...idsOf(card, 'water')], hands: 0, watch: ['half-full', 'count-releases'], cautions: ['pressure'],
            }),
            stage('wait', 'wait', 'pressure-pan', { phase: 'before', flame: 'off', lid: true, until: { sign: 'opened' }, handles, hands: 0, watch: ['opens-itself'], cautions: ['pressure'] }),
          ]
        : [stage('boil-soft', 'cook-down', 'pot', { phase: 'before', lid: true, until: { minutes: 40 }, handles: [...handles, ...idsOf(card, 'water')], hands: 0, watch: ['skim'], cautions: ['scald'], expect: ['foams'] })]),
      ready('puree', 10, { handles, cautions: ['grinder'] }),
    ]
    case 'grated': return [
      ready('grate', card.choices.lots ? 8 : 15, { handles, watch: ['grate-coarse'] }),
    ]
    default: return card.family === 'vermicelli' && card.choices.roast !== 'none' ? [ready('break', 3, { handles, watch: ['hand-length'] })] : []
  }
}

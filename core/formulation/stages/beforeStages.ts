import { secondBases } from '../dish/basesOf'
import type { Preparation } from '../dish/choices'
import type { DishCard, Stage } from '../dish/dish'
import { idsOf, stage, type StageMore } from './shape'
import type { StageId, StageRole } from '../dish/stageRole'

/** A stage away from the fire, before it is lit. */
function ready(id: StageId, minutes: number, more: StageMore): Stage {
  return stage(id, 'prepare', 'table', { phase: 'before', flame: 'off', until: { minutes }, ...more })
}

/**
 * What is got ready before the fire: soaking, drying, grinding, grating, melting and straining, steeping.
 *
 * @param card the dish
 * @returns its stages before the fire, in order, a second base's after the first's with `-2` to their names; minutes
 *   are the usual ones (estimates, as kitchens know them)
 */
export function beforeStages(card: DishCard): Stage[] {
  const { preparation } = card.choices
  const together = secondBases(card).filter(one => one.asBase.preparation === preparation).map(one => one.id)
  const apart = secondBases(card).filter(one => one.asBase.preparation !== preparation)
  const jaggery = idsOf(card, 'jaggery')
  const steeped = idsOf(card, 'steeped')
  return [
    ...preparationStages(card, preparation, [card.base, ...together]),
    ...apart.flatMap((one, i) => preparationStages(card, one.asBase.preparation, [one.id], i + 2)),
    ...(jaggery.length > 0
      ? [
          stage('melt', 'melt', 'pot', {
            phase: 'before',
            flame: 'low',
            until: { sign: 'melted' },
            hands: 0.5,
            handles: jaggery,
            watch: ['strain'],
            cautions: ['hot-sweet'],
          }),
        ]
      : []),
    ...(steeped.length > 0 ? [ready('steep', 10, { handles: steeped, hands: 0, watch: ['steep-warm'] })] : []),
  ]
}

/** Bases got ready in the same way are got ready together; one that has its own way has its own stages. */
function preparationStages(card: DishCard, preparation: Preparation, handles: readonly string[], place = 1): Stage[] {
  const first = place === 1
  /** The role got ready for this base. */
  const own = (role: StageRole): StageId => (first ? role : `${role}-${place}`)
  switch (preparation) {
    case 'raw-paste':
      return [
        ready(own('soak'), 240, { handles, hands: 0, watch: ['soak-cool'] }),
        ready(own('drain'), 15, { handles, hands: 0, watch: ['drain-well'] }),
        ready(own('grind'), 10, { handles, watch: ['no-water-no-whole'], cautions: ['grinder'] }),
      ]
    case 'fine-paste':
      return [
        ready(own('soak'), 240, { handles, hands: 0, watch: ['soak-cool'] }),
        ready(own('grind'), 14, { handles, watch: ['ground-silky'], cautions: ['grinder'] }),
      ]
    case 'dry-ground':
      return [
        ready(own('wash-dry'), 240, { handles, hands: 0 }),
        stage(own('roast-whole'), 'roast', 'pan', {
          phase: 'before',
          flame: 'low',
          until: { sign: 'aroma' },
          handles,
          watch: ['stir-always'],
          expect: ['darkens-on'],
        }),
        ready(own('cool-whole'), 25, { handles, hands: 0 }),
        ready(own('grind'), 8, { handles, watch: ['grainy-not-dust', 'surplus-to-store'], cautions: ['grinder'] }),
      ]
    case 'cooked-puree':
      return [
        ready(own('soak'), 120, { handles, hands: 0, watch: ['soak-cool'] }),
        ...(card.choices.cooking === 'pressure' && first
          ? [
              stage('press', 'press', 'pressure-pan', {
                phase: 'before',
                lid: true,
                until: { minutes: 12 },
                handles: [...handles, ...idsOf(card, 'water')],
                hands: 0,
                watch: ['half-full', 'count-releases'],
                cautions: ['pressure'],
              }),
              stage('wait', 'wait', 'pressure-pan', {
                phase: 'before',
                flame: 'off',
                lid: true,
                until: { sign: 'opened' },
                handles,
                hands: 0,
                watch: ['opens-itself'],
                cautions: ['pressure'],
              }),
            ]
          : [
              stage(own('boil-soft'), 'cook-down', 'pot', {
                phase: 'before',
                lid: true,
                until: { minutes: 40 },
                handles: [...handles, ...(first ? idsOf(card, 'water') : [])],
                hands: 0,
                watch: ['skim'],
                cautions: ['scald'],
                expect: ['foams'],
              }),
            ]),
        ready(own('puree'), 10, { handles, cautions: ['grinder'] }),
      ]
    case 'grated':
      return [ready(own('grate'), card.choices.lots ? 8 : 15, { handles, watch: ['grate-coarse'] })]
    default:
      return first && card.family === 'vermicelli' && card.choices.roast !== 'none'
        ? [ready('break', 3, { handles, watch: ['hand-length'] })]
        : []
  }
}

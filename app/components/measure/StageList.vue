<script setup lang="ts">
import { wordFor } from '../../../words/wordFor'
import { computed } from 'vue'
import { useSayAmount } from '../../composables/houseAmounts'
import { goesInAgain } from '../../../core/formulation/dish/goesInAgain'
import type { Dish, Stage } from '../../../core/formulation/dish/dish'
import type { MeasureSize } from '../../../core/formulation/measures/inMeasures'
import { usualMinutes } from '../../../core/formulation/dish/usualMinutes'
import { CAUTIONS, SIGN_WORDS } from '../../../words/cook'
import { DISH_VESSEL_WORDS, expectText, stageName, watchText } from '../../../words/stages'

const props = defineProps<{
  /** Dish with its stages. */
  dish: Dish
  /** Weight of the base, g. */
  baseG: number
  /** The cup in hand. */
  cup: MeasureSize | null
}>()

const say = useSayAmount(() => props.cup)

const PHASES = [['before', 'Before the fire'], ['fire', 'At the fire'], ['after', 'After it']] as const
const HANDS = { 0: 'no hands', 0.5: 'half a hand', 1: 'one hand, all the time' } as const
const groups = computed(() => PHASES.map(([phase, title]) => ({
  phase, title, stages: props.dish.stages.filter(stage => (stage.phase ?? 'fire') === phase).map(shown),
})).filter(group => group.stages.length > 0))

function shown(stage: Stage) {
  const mass = (id: string): number => (props.dish.ingredients.find(one => one.id === id)?.perBase ?? 0) * props.baseG
  const said = (id: string, share: number): string => say(props.dish.ingredients.find(one => one.id === id)?.ingredient ?? id, mass(id) * share)
  const minutes = Math.round(usualMinutes(props.dish, stage))
  const beside = stage.meets ? stageName(props.dish.stages.find(one => one.id === stage.meets?.stage) ?? stage) : ''
  return {
    id: stage.id,
    name: stageName(stage),
    minutes: minutes >= 90 ? `${Math.round(minutes / 30) / 2} h` : `${minutes} min`,
    where: [[stage.vessel === 'table' ? '' : `${DISH_VESSEL_WORDS[stage.vessel] ?? stage.vessel}${stage.flame === 'off' ? ', flame off' : `, ${stage.flame} flame`}${stage.lid ? ', lid on' : ''}`, HANDS[stage.hands ?? 1], beside ? `beside it, ready for: ${beside}` : ''].filter(Boolean).join(' · '), ...(stage.watch ?? []).map(code => watchText(code) ?? code)].join('. ').replace(/\.\. /g, '. '),
    goesIn: [...stage.adds.map(add => (goesInAgain(props.dish.stages, stage.id, add.ingredient) ? `the ${add.ingredient.replaceAll('-', ' ')} set aside` : said(add.ingredient, add.share))), ...(stage.from ? ['what is in the pot'] : [])].join(', ') || (stage.handles ?? []).map(id => said(id, 1)).join(', '),
    until: 'sign' in stage.until ? `until ${SIGN_WORDS[stage.until.sign]?.waited ?? stage.until.sign}` : '',
    expect: (stage.expect ?? []).map(code => expectText(code)).join(' '),
    cautions: (stage.cautions ?? []).flatMap(code => wordFor(CAUTIONS, code) ?? []),
  }
}
</script>

<template>
  <div class="stages">
    <p class="soft small">
      These follow from the ingredients and the choices. Minutes are common kitchen knowledge until your own batches say better; the signs decide.
    </p>
    <section
      v-for="group in groups"
      :key="group.phase"
    >
      <h3>{{ group.title }}</h3>
      <ol>
        <li
          v-for="stage in group.stages"
          :key="stage.id"
        >
          <span class="minutes">{{ stage.minutes }}</span>
          <div>
            <p>
              <strong>{{ stage.name }}</strong> <span v-if="stage.goesIn">{{ stage.goesIn }}</span> <span
                v-if="stage.until"
                class="until"
              >{{ stage.until }}</span>
            </p>
            <p class="soft small">
              {{ stage.where }}
            </p>
            <p
              v-if="stage.expect"
              class="small right"
            >
              Looks wrong, is not: {{ stage.expect }}
            </p>
            <p
              v-for="caution in stage.cautions"
              :key="caution.title"
              class="small danger"
            >
              <strong>{{ caution.title }}:</strong> {{ caution.text }}
            </p>
          </div>
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
.stages { display: grid; grid-template-columns: minmax(0, 1fr); gap: 14px; }
ol { list-style: none; margin: 6px 0 0; padding: 0; display: grid; gap: 10px; }
li { display: grid; grid-template-columns: 74px minmax(0, 1fr); gap: 14px; border-top: 2px solid var(--line); padding-top: 6px; }
.minutes { font-weight: 600; text-align: right; }
.until { color: var(--accent); font-weight: 600; }
.right { color: var(--ink); }
</style>

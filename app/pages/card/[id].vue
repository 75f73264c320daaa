<script setup lang="ts">
import { wordFor } from '../../../words/wordFor'
import { storeToRefs } from 'pinia'
import { computed } from 'vue'
import { gramsText } from '../../composables/format'
import { useSayAmount } from '../../composables/houseAmounts'
import { useMeasureSheet } from '../../composables/measureSheet'
import { useHouse } from '../../stores/house'
import { INGREDIENTS } from '../../../book/ingredients'
import { goesInAgain } from '../../../core/formulation/dish/goesInAgain'
import type { Stage } from '../../../core/formulation/dish/dish'
import { usualTotalMinutes } from '../../../core/formulation/dish/usualTotalMinutes'
import { CAUTIONS } from '../../../words/cook'
import { familyName, schoolOf } from '../../../words/dish'
import { measureText } from '../../../words/measure'
import { stepTexts } from '../../../words/recipe'
import { expectText } from '../../../words/stages'
import { pageTitle } from '../../../words/titles'

const house = useHouse()
const id = String(useRoute().params.id)
const { kitchen, dishes, evidence } = storeToRefs(house)
const state = useMeasureSheet({ kitchen, dishes, evidence, ingredients: INGREDIENTS })
const { sheet, card, dish, amounts, dishYield, account, cup, plan, rowOf } = state
useHead({ title: () => pageTitle('/card', card.value?.name) })
void house.load().then(() => state.open(id))
const nameOf = (one: string): string => {
  const found = card.value?.ingredients.find(known => known.id === one)
  return found ? (rowOf(found.ingredient).name.split(',')[0] ?? one).toLowerCase() : one
}
const say = useSayAmount(() => cup.value)
/** As it is planned for this amount: with its cautions, and what goes in beside. */
const made = computed(() => plan.value?.dish ?? dish.value)
const steps = computed(() => {
  const staged = made.value
  const baseG = sheet.value?.baseG ?? 0
  if (!staged) return []
  const goesIn = (stage: Stage): string => stage.adds.flatMap((add) => {
    const found = staged.ingredients.find(one => one.id === add.ingredient)
    if (found && goesInAgain(staged.stages, stage.id, add.ingredient)) return [`the ${nameOf(add.ingredient)} set aside`]
    return found ? [say(found.ingredient, found.perBase * baseG * add.share)] : []
  }).join(', ')
  return stepTexts(staged, goesIn).map((step, i) => ({ ...step, stage: staged.stages[i]! }))
})
const times = computed(() => (dish.value ? usualTotalMinutes(dish.value) : null))
const cautions = computed(() => [...new Set((made.value?.stages ?? []).flatMap(stage => stage.cautions ?? []))].flatMap(code => wordFor(CAUTIONS, code) ?? []))
const minutes = (value: number): string => (value >= 90 ? `${Math.round(value / 30) / 2} h` : `${Math.round(value)} min`)
function print(): void {
  window.print()
}
</script>

<template>
  <main
    id="main"
    class="sheet"
  >
    <p class="screen-only bar">
      <NuxtLink
        class="stone-button"
        :to="`/measure?dish=${id}`"
      >
        Back to measuring
      </NuxtLink>
      <ElButton
        type="primary"
        @click="print"
      >
        Print
      </ElButton>
    </p>
    <article
      v-if="card && dish && dishYield && sheet && cup"
      class="card"
    >
      <header>
        <h1>{{ card.name }}</h1>
        <p>{{ card.otherNames.join(' · ') }}</p>
        <p>{{ familyName(card) }}: {{ schoolOf(card).join(', ') }}.</p>
        <p>
          <strong>{{ gramsText(dishYield.finishedG.middle) }}</strong>, {{ Math.round(dishYield.servings) }} servings of {{ gramsText(card.portionG) }}<template v-if="times">
            · {{ times.before >= 1 ? `${minutes(times.before)} to get ready, ` : '' }}{{ minutes(times.fire) }} at the fire by usual minutes
          </template>
        </p>
      </header>
      <section class="amounts">
        <h2>Amounts, with {{ cup.name.toLowerCase() }} of {{ Math.round(cup.volumeMl) }} ml</h2>
        <table>
          <tbody>
            <tr
              v-for="one in amounts"
              :key="one.id"
            >
              <th scope="row">
                {{ one.row.name }}
              </th>
              <td>{{ one.spoken.count === 0 ? 'a pinch' : measureText(one.spoken.text, one.spoken.count, one.spoken.name) }}{{ one.spoken.rest ? ` and ${measureText(one.spoken.rest.text, one.spoken.rest.count, one.spoken.rest.name)}` : '' }}</td>
              <td>{{ gramsText(one.massG) }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="account && account.lines.some(line => line.what !== 'brings')">
          Of the water, {{ account.lines.filter(line => line.what !== 'brings').map(line => `${gramsText(line.waterG)} ${line.what === 'melts' ? 'melt' : 'steep'} the ${nameOf(line.id)}`).join(' and ') }}; {{ gramsText(account.toPourG) }} are poured.
        </p>
        <p>Allergens: {{ dishYield.allergens.length === 0 ? 'none of those we list' : dishYield.allergens.map(one => one.allergen).join(', ') }}. A shared pan is not allergen-free.</p>
      </section>
      <section>
        <h2>Steps</h2>
        <ol>
          <li
            v-for="step in steps"
            :key="step.stage.id"
          >
            <strong>{{ step.name }}<template v-if="step.stage.meets">, beside it</template>.</strong> {{ step.text }}
            <em v-if="(step.stage.expect ?? []).length > 0">Not wrong: {{ (step.stage.expect ?? []).map(code => expectText(code)).join(' ') }}</em>
          </li>
        </ol>
      </section>
      <section class="cautions">
        <h2>Cautions</h2>
        <p
          v-for="one in cautions"
          :key="one.title"
        >
          <strong>{{ one.title }}:</strong> {{ one.text }}
        </p>
      </section>
      <footer>A serving holds about {{ Math.round(dishYield.serving.energyKj / 10) * 10 }} kJ, {{ gramsText(dishYield.serving.fatG) }} fat, {{ gramsText(dishYield.serving.sugarG) }} sugars: an estimate, not medical advice. Local food rules and your makers' instructions come first.</footer>
    </article>
  </main>
</template>

<style scoped>
.sheet { max-width: 860px; margin: 0 auto; padding: 16px 24px 40px; }
.bar { display: flex; gap: 12px; margin-bottom: 18px; }
.card { display: grid; gap: 14px; }
.card h1 { border-bottom: 4px solid currentcolor; padding-bottom: 6px; margin-bottom: 6px; }
h2 { font-size: 1.15rem; margin-bottom: 4px; }
table { border-collapse: collapse; width: 100%; }
th, td { text-align: left; font-weight: 400; border-bottom: 1px solid currentcolor; padding: 3px 14px 3px 0; }
td:last-child { white-space: nowrap; text-align: right; padding-right: 0; font-weight: 600; }
ol { margin: 0; padding-left: 1.4em; display: grid; gap: 5px; }
.cautions { border: 3px solid currentcolor; padding: 8px 14px; }
footer { border-top: 1px solid currentcolor; padding-top: 6px; font-size: 0.9375rem; }
@media print {
  .screen-only { display: none; }
  .sheet { max-width: none; padding: 0; color: #000000; background: #ffffff; font-size: 10.5pt; line-height: 1.3; }
  .card { gap: 8px; }
  .card h1 { font-size: 20pt; }
  li, tr, .cautions { break-inside: avoid; }
}
</style>
<style>
@media print { html, body { background: #ffffff; color: #000000; } @page { margin: 14mm; } }
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { gramsText } from '../../composables/format'
import type { Ingredient } from '../../../contracts/ingredient'
import { labToHex } from '../../../core/colour/labToHex'
import { standsOnShelf, type AmountRow } from '../../../core/proportions/measuredAmounts'
import { partsText } from '../../../core/proportions/partsText'
import { measureText, OUTSIDE_WORDS, ROLE_WORDS, shortName, STYLE_WORDS } from '../../../words/measure'
import IngredientVessels from '../IngredientVessels.vue'
import SpanBand from '../SpanBand.vue'

const props = defineProps<{
  /** Amounts of the dish in its order. */
  rows: readonly AmountRow<Ingredient>[]
  /** Id of the base within the dish. */
  base: string
  /** The cup in hand, as it is drawn. */
  cup: { readonly name: string, readonly volumeMl: number, readonly origin: string, readonly topMm: number, readonly bottomMm: number, readonly heightMm: number }
}>()

const emit = defineEmits<{
  /** A new weight of one ingredient, g. */
  change: [id: string, massG: number]
}>()

/** Drawing units of one vessel's column for each unit of flex. */
const COLUMN = 92
const shown = computed(() => props.rows.map((one) => {
  const { spoken } = one
  return {
    ...one,
    colour: labToHex(one.row.colour),
    said: spoken.count === 0 ? 'a pinch' : measureText(spoken.text, spoken.count, spoken.name),
    plus: spoken.rest ? `and ${measureText(spoken.rest.text, spoken.rest.count, spoken.rest.name)}` : '',
    grow: Math.min(3.4, Math.max(1, Math.sqrt(one.cups) * 1.2)),
    stands: standsOnShelf(one, props.base),
    judged: one.standing ? one.standing.style ? STYLE_WORDS[one.standing.style] : OUTSIDE_WORDS[one.standing.role][one.standing.outside ?? 'below'] : '',
  }
}))
const big = computed(() => shown.value.filter(one => one.stands))
const small = computed(() => shown.value.filter(one => !one.stands))
const parts = computed(() => partsText(big.value.map(one => one.volumeMl), props.cup.volumeMl))

function changeCups(id: string, cups: number): void {
  const row = props.rows.find(one => one.id === id)
  if (row) emit('change', id, Math.max(1, cups * props.cup.volumeMl * row.row.bulkDensity))
}
</script>

<template>
  <div class="amounts">
    <div class="shelf">
      <div
        v-for="one in big"
        :key="one.id"
        class="vessel"
        :style="{ flexGrow: one.grow }"
      >
        <IngredientVessels
          :count="one.cups"
          :cup="cup"
          :colour="one.colour"
          :name="`${one.row.name}, drag to change`"
          :value-text="`${one.said}, ${gramsText(one.massG)}`"
          :scale="1.12"
          :width="one.grow * COLUMN"
          @change="count => changeCups(one.id, count)"
        />
      </div>
    </div>
    <div class="labels">
      <div
        v-for="one in big"
        :key="one.id"
        class="vessel"
        :style="{ flexGrow: one.grow }"
      >
        <h2>{{ one.row.name }}</h2>
        <p class="amount">
          {{ one.said }}<span
            v-if="one.plus"
            class="plus"
          >{{ one.plus }}</span>
        </p>
        <p class="soft">
          {{ gramsText(one.massG) }}<template v-if="one.spoken.error > 0.04">
            · the mark is {{ Math.round(one.spoken.error * 100) }} % off
          </template>
        </p>
        <template v-if="one.standing">
          <SpanBand :standing="one.standing" />
          <p
            class="small"
            :class="one.standing.outside ? 'danger' : 'soft'"
          >
            {{ ROLE_WORDS[one.standing.role] }}: {{ one.judged }}
          </p>
        </template>
      </div>
    </div>
    <p
      v-for="one in small"
      :key="one.id"
      class="pinch"
    >
      {{ one.row.name }} <strong>{{ one.said }}</strong> <span class="soft">({{ gramsText(one.massG) }})</span>
    </p>
    <p class="soft">
      One {{ shortName(cup.name) }} is your {{ cup.name.toLowerCase() }}, {{ Math.round(cup.volumeMl) }} ml{{ cup.origin === 'guess' ? ', a guess' : '' }}.
      Parts, {{ big.map(one => shortName(one.row.name.split(',')[0] ?? one.id)).join(' : ') }}: <strong>{{ parts }}</strong>.
      Weights by each food's own bulk density.
    </p>
  </div>
</template>

<style scoped>
.amounts { display: grid; gap: 8px; }
.shelf, .labels { display: flex; gap: 22px; align-items: flex-end; }
.shelf { border-bottom: 6px solid var(--ink); min-height: 230px; margin-top: 14px; }
.labels { align-items: flex-start; }
.vessel { flex: 1 1 0; min-width: 0; }
h2 { font-family: var(--text); font-size: 1.15rem; font-weight: 650; }
.amount { font-size: 1.3rem; line-height: 1.2; }
.plus { display: block; font-size: 1rem; }
.pinch { font-size: 1.1rem; }
@media (max-width: 700px) {
  .shelf, .labels { gap: 10px; }
  .shelf { min-height: 150px; }
  h2 { font-size: 0.9375rem; hyphens: auto; }
  .amount { font-size: 1.05rem; }
}
</style>

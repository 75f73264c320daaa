<script setup lang="ts">
import { computed } from 'vue'
import { gramsText } from '../../composables/format'
import type { Ingredient } from '../../../contracts/ingredient'
import { labToHex } from '../../../core/materials/colour/labToHex'
import { standsOnShelf, type AmountRow } from '../../../core/formulation/proportions/measuredAmounts'
import { partsText } from '../../../core/formulation/proportions/partsText'
import { measureText, outsideText, shortName, STYLE_WORDS } from '../../../words/measure'
import IngredientVessels from '../IngredientVessels.vue'
import ShelfLabel from './ShelfLabel.vue'

const props = defineProps<{
  /** Amounts of the dish in its order. */
  rows: readonly AmountRow<Ingredient>[]
  /** Id of the base within the dish. */
  base: string
  /** Family of the dish: it decides what goes wrong outside a span. */
  family: string
  /** The cup in hand, as it is drawn. */
  cup: { readonly name: string, readonly volumeMl: number, readonly origin: string, readonly topMm: number, readonly bottomMm: number, readonly heightMm: number }
  /** Id of the ingredient that is open below, or null. */
  open: string | null
  /** True while an ingredient is being added below. */
  adding: boolean
}>()

const emit = defineEmits<{
  /** A new weight of one ingredient, g. */
  change: [id: string, massG: number]
  /** An ingredient is to be looked at more closely. */
  look: [id: string]
  /** An ingredient is to be added. */
  add: []
}>()

/** Halves only of what a hand would cut: 5 g and more. */
const roundPieces = (count: number, eachG: number): number => (eachG < 5 ? Math.round(count) : Math.round(count * 2) / 2)
/** Drawing units of one vessel's column for each unit of flex. */
const COLUMN = 92
const shown = computed(() => props.rows.map((one) => {
  const { spoken, row } = one
  const piece = row.piece && row.kind !== 'spice' && row.kind !== 'steeped' ? row.piece : null
  const pieces = piece ? roundPieces(one.massG / row.yields.prepared / piece.medium, piece.medium) : 0
  return {
    ...one,
    colour: labToHex(row.colour),
    short: row.name.split(',')[0] ?? row.name,
    said: spoken.count === 0 ? 'a pinch' : measureText(spoken.text, spoken.count, spoken.name),
    plus: spoken.rest ? `and ${measureText(spoken.rest.text, spoken.rest.count, spoken.rest.name)}` : '',
    // By whole cups: columns stand still while a level moves.
    grow: Math.min(3.4, Math.max(1, Math.sqrt(Math.ceil(one.cups - 0.02)) * 1.1)),
    stands: standsOnShelf(one, props.base),
    under: [gramsText(one.massG), piece && pieces >= 1 && pieces < 100 ? `${pieces} ${pieces > 1 ? piece.plural : piece.noun}` : '', spoken.count > 0 && spoken.error > 0.04 ? `the mark is ${Math.round(spoken.error * 100)} % off` : ''].filter(Boolean).join(' · '),
    judged: one.standing ? one.standing.style ? STYLE_WORDS[one.standing.style] : outsideText(one.standing, props.family) : '',
  }
}))
const big = computed(() => shown.value.filter(one => one.stands))
/** Columns of the shelf, each as wide as it grows: a phone gives every one room for its words. */
const columns = computed(() => Math.round(big.value.reduce((sum, one) => sum + one.grow, 0) * 10) / 10)
const small = computed(() => shown.value.filter(one => !one.stands))
const partNames = computed(() => big.value.map(one => one.short.toLowerCase()).join(' : '))
const parts = computed(() => partsText(big.value.map(one => one.volumeMl), props.cup.volumeMl))

function changeCups(id: string, cups: number): void {
  const row = props.rows.find(one => one.id === id)
  if (row) emit('change', id, Math.max(1, cups * props.cup.volumeMl * row.row.bulkDensity))
}
</script>

<template>
  <div
    class="amounts"
    :class="{ many: big.length > 6 }"
    :style="{ '--columns': columns }"
  >
    <div class="board">
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
          <ShelfLabel
            :id="one.id"
            :name="one.row.name"
            :short="one.short"
            :said="one.said"
            :plus="one.plus"
            :under="one.under"
            :standing="one.standing"
            :judged="one.judged"
            :open="open === one.id"
            @look="id => emit('look', id)"
          />
        </div>
      </div>
    </div>
    <p class="pinches">
      <ElButton
        v-for="one in small"
        :key="one.id"
        link
        class="name pinch"
        :aria-expanded="open === one.id"
        @click="emit('look', one.id)"
      >
        {{ one.short }} <strong>{{ one.said }}</strong> <span class="soft">{{ gramsText(one.massG) }}</span>
      </ElButton>
      <ElButton
        :aria-expanded="adding"
        @click="emit('add')"
      >
        Add an ingredient
      </ElButton>
    </p>
    <p class="soft small">
      One {{ shortName(cup.name) }} is {{ /^our /i.test(cup.name) ? '' : 'your ' }}{{ cup.name.toLowerCase() }}, {{ Math.round(cup.volumeMl) }} ml{{ cup.origin === 'guess' ? ', a guess' : '' }}.
      Parts, {{ partNames }}: <strong>{{ parts }}</strong>.
      Weights by each food's own bulk density. Drag a level, or tap a name to type, swap or weigh.
    </p>
  </div>
</template>

<style scoped>
.amounts { display: grid; gap: 8px; }
.shelf, .labels { display: flex; gap: 20px; align-items: flex-end; }
.many .shelf, .many .labels { gap: 10px; }
.shelf { border-bottom: 6px solid var(--ink); min-height: 190px; margin-top: 10px; }
.labels { align-items: flex-start; padding-top: 6px; }
.vessel { flex: 1 1 0; min-width: 0; contain: layout style; }
.name { text-decoration-thickness: 1px; text-decoration-color: var(--line); }
.name:hover, .name[aria-expanded="true"] { text-decoration-color: var(--accent); color: var(--accent); }
.many :deep(h2) { font-size: 0.9375rem; }
.many :deep(.amount) { font-size: 1.0625rem; }
.pinches { display: flex; flex-wrap: wrap; gap: 2px 22px; }
.pinch { font-size: 1.0625rem; min-height: 44px; }
@media (max-width: 700px) {
  .board { overflow-x: auto; padding-bottom: 4px; }
  .shelf, .labels { gap: 10px; min-width: max(540px, var(--columns) * 72px); }
  .shelf { min-height: 130px; }
  .board :deep(h2) { font-size: 0.9375rem; }
  .board :deep(.amount) { font-size: 1.05rem; }
}
</style>

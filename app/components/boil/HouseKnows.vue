<script setup lang="ts">
import { computed } from 'vue'
import type { BatchListLine } from '../../../contracts/batch'
import { densityOf } from '../../../core/materials/composition/densityOf'
import type { Correction } from '../../../core/materials/composition/correction'
import type { Ingredient } from '../../../contracts/ingredient'
import { factorWindow } from '../../../core/maths/random/spreadWindow'
import { sweetnessLiked } from '../../../core/cook/liking/sweetnessLiked'
import { dayText, gramsText } from '../../composables/format'
import { hearthNow } from '../../clients/hearthClock'
import { likingText } from '../../../words/after'

const props = defineProps<{
  /** Batches of which it is known how they were liked. */
  batches: readonly BatchListLine[]
  /** What the household has weighed itself. */
  corrections: readonly Correction[]
  /** Ingredient table, without corrections. */
  table: readonly Ingredient[]
}>()

const emit = defineEmits<{
  /** A batch is no longer to be learned from. */
  forget: [batch: BatchListLine]
  /** What was weighed of an ingredient is to be forgotten: the table holds again. */
  drop: [ingredient: string]
}>()

const tasted = computed(() => props.batches.flatMap((batch) => {
  const liking = batch.after?.liked.sweetness
  const sweetness = batch.after?.sweetness
  return liking && sweetness ? [{ batch, liking, sweetness }] : []
}))
const liked = computed(() => sweetnessLiked(tasted.value.map(one => ({ batch: one.batch.id, at: one.batch.startedAt, sweetness: one.sweetness, liking: one.liking }))))
/** What a litre weighs, with what it rests on. */
function densityText(row: Ingredient, one: Correction): string {
  const { middle, spread, weighings } = densityOf(row, one, hearthNow())
  if (weighings === 0) return ''
  const { early, late } = factorWindow(1000 * middle, spread)
  return `a litre ${gramsText(1000 * middle)} (${gramsText(early)} to ${gramsText(late)}) by ${weighings} ${weighings === 1 ? 'weighing' : 'weighings'}, table ${gramsText(1000 * row.bulkDensity)}`
}
const weighed = computed(() => props.corrections.flatMap((one) => {
  const row = props.table.find(known => known.id === one.id)
  if (!row) return []
  const percent = (value: number): string => `${Math.round(value * 100)} %`
  const says = [
    densityText(row, one),
    one.pieceG === undefined || !row.piece ? '' : `one ${row.piece.noun} ${gramsText(one.pieceG)}, table ${gramsText(row.piece.medium)}`,
    one.prepared === undefined ? '' : `${percent(one.prepared)} left when got ready, table ${percent(row.yields.prepared)}`,
    one.soakGain === undefined ? '' : `soaks up ${percent(one.soakGain)}, table ${percent(row.yields.soakGain)}`,
    one.ground === undefined ? '' : `${percent(one.ground)} left when ground, table ${percent(row.yields.ground)}`,
  ].filter(Boolean)
  return says.length > 0 ? [{ id: one.id, name: row.name, says: says.join('; ') }] : []
}))
</script>

<template>
  <section class="slab knows">
    <h2>Sweetness liked here</h2>
    <template v-if="liked">
      <p>
        As sweet as <strong>{{ Math.round(liked.middle) }} g</strong> of sugar in 100 g <span class="soft">({{ Math.round(liked.early) }} to {{ Math.round(liked.late) }}), by {{ tasted.length }} {{ tasted.length === 1 ? 'batch' : 'batches' }}:</span>
      </p>
      <ul>
        <li
          v-for="one in tasted"
          :key="one.batch.id"
        >
          <NuxtLink :to="`/ledger/${one.batch.id}`">
            {{ one.batch.dish }}, {{ dayText(one.batch.startedAt) }}
          </NuxtLink>: {{ Math.round(one.sweetness) }} g, {{ likingText('sweetness', one.liking) }}
          <ElButton
            text
            @click="emit('forget', one.batch)"
          >
            forget
          </ElButton>
        </li>
      </ul>
    </template>
    <p
      v-else
      class="soft"
    >
      Nobody has said yet how a batch was liked. It is asked at the end of each.
    </p>
    <h2>Densities, yields and sizes</h2>
    <ul v-if="weighed.length > 0">
      <li
        v-for="one in weighed"
        :key="one.id"
      >
        <strong>{{ one.name }}</strong>: {{ one.says }}
        <ElButton
          text
          @click="emit('drop', one.id)"
        >
          forget
        </ElButton>
      </li>
    </ul>
    <p
      v-else
      class="soft"
    >
      All from the table. What is weighed on Measure stands here.
    </p>
  </section>
</template>

<style scoped>
.knows { display: grid; gap: 8px; }
ul { margin: 0; padding-left: 1.2em; }
</style>

<script setup lang="ts">
import { gramsText } from '../../composables/format'
import { useManyMemories } from '../../composables/manyMemories'
import type { Ingredient } from '../../../contracts/ingredient'
import type { Kitchen } from '../../../contracts/kitchen'
import type { DishCard } from '../../../core/formulation/dish/dish'
import { ROW_STATE_WORDS, ROW_TROUBLE_WORDS } from '../../../words/ledger'
import LabelledChoice from '../LabelledChoice.vue'
import FileChooser from '../FileChooser.vue'

const props = defineProps<{
  /** Dishes of the book. */
  dishes: readonly DishCard[]
  /** Ingredients of the house. */
  table: readonly Ingredient[]
  /** Pans, fires and cups. */
  kitchen: Kitchen
}>()

const { read, ready, says, busy, take, keep, cookable, unknown, name } = useManyMemories(() => props)
</script>

<template>
  <section
    class="slab many"
    aria-label="Many batches from a table"
  >
    <h2>Many at once, from a table</h2>
    <p class="soft">
      A CSV file whose first line names its columns: <strong>dish</strong>, <strong>date</strong>, <strong>base</strong> (250, or 1 cup) and <strong>minutes</strong> at the fire; and where they are known roast, pan, fire, finished, faults and note. Our own table reads back too; what stands in the ledger is not doubled.
    </p>
    <FileChooser
      label="Choose a table"
      accept=".csv,text/csv"
      @chosen="take"
    />
    <p
      v-if="says"
      role="status"
    >
      {{ says }}
    </p>
    <div
      v-if="unknown.length > 0"
      class="which"
    >
      <LabelledChoice
        v-for="dish in unknown"
        :key="dish"
        :asks="`Which dish is “${dish}”?`"
        :chosen="undefined"
        :options="cookable.map(one => ({ value: one.id, label: one.name }))"
        @choose="id => name(dish, id)"
      />
    </div>
    <template v-if="read.length > 0">
      <ul aria-label="Rows of the table">
        <li
          v-for="one in read"
          :key="one.row.row"
          :class="{ wants: one.troubles.length > 0 }"
        >
          <strong>{{ one.card?.name ?? (one.row.dish || 'no dish') }}</strong>
          <span>{{ one.row.day ?? 'no day' }}</span>
          <span>{{ one.baseG === null ? one.row.base : gramsText(one.baseG) }}{{ one.row.totalMin === null ? '' : `, ${Math.round(one.row.totalMin)} min` }}</span>
          <span class="soft">{{ one.troubles.length > 0 ? one.troubles.map(code => ROW_TROUBLE_WORDS[code]).join(' ') : one.state === 'waits' ? [one.instead ? `Taken: ${one.instead}.` : '', one.row.line].filter(Boolean).join(' ') : `${ROW_STATE_WORDS[one.state]}${one.why}` }}</span>
        </li>
      </ul>
      <ElButton
        type="primary"
        :disabled="ready.length === 0 || busy"
        @click="keep"
      >
        Put {{ ready.length }} in the ledger
      </ElButton>
    </template>
  </section>
</template>

<style scoped>
.many { display: grid; gap: 10px; justify-items: start; }
p { margin: 0; max-width: 80ch; }
.which { display: grid; grid-template-columns: repeat(auto-fit, minmax(240px, 1fr)); gap: 10px; width: 100%; }
ul { list-style: none; margin: 0; padding: 0; width: 100%; max-height: 60vh; overflow-y: auto; }
li { display: grid; grid-template-columns: minmax(0, 1.2fr) 110px minmax(0, 0.8fr) minmax(0, 1.6fr); gap: 4px 14px; border-top: 2px solid var(--line); padding: 5px 0 5px 15px; overflow-wrap: anywhere; }
li.wants { border-left: 5px solid var(--danger); padding-left: 10px; }
@media (max-width: 700px) { li { grid-template-columns: minmax(0, 1fr); } }
</style>

<script setup lang="ts">
import { ref } from 'vue'
import type { Spread } from '../../../contracts/spread'
import type { VesselKind } from '../../../core/day/problem/day'
import { VESSEL_WORDS } from '../../../words/spread'
import LabelledChoice from '../LabelledChoice.vue'

const props = defineProps<{
  /** The day. */
  spread: Spread
}>()

const emit = defineEmits<{
  /** Fires of this day. */
  fires: [fires: Spread['fires']]
  /** Vessels and machines of this day. */
  vessels: [vessels: Spread['vessels']]
  /** Minutes in which a vessel is washed between two dishes. */
  wash: [minutes: number]
}>()

const kind = ref<VesselKind>('heavyL')
const kinds = (['heavyL', 'heavy', 'pot', 'ppan', 'grinder', 'tray', 'cold'] as const).map(value => ({ value, label: VESSEL_WORDS[value] }))
const free = (prefix: string, taken: readonly { readonly id: string }[]): string => Array.from({ length: 80 }, (_, i) => `${prefix}${i + 1}`).find(one => !taken.some(other => other.id === one))!
</script>

<template>
  <div class="kitchen">
    <section>
      <h2>Fires of the day</h2>
      <ul>
        <li
          v-for="fire in spread.fires"
          :key="fire.id"
        >
          <span>{{ fire.name }}</span>
          <ElButton
            text
            :aria-label="`${fire.name} is not there`"
            @click="emit('fires', spread.fires.filter(one => one.id !== fire.id))"
          >
            Not there
          </ElButton>
        </li>
      </ul>
      <ElButton
        :disabled="spread.fires.length >= 12"
        @click="emit('fires', [...spread.fires, { id: free('borrowed-fire-', spread.fires), name: 'Borrowed fire' }])"
      >
        One more fire
      </ElButton>
    </section>
    <section>
      <h2>Vessels and machines</h2>
      <ul>
        <li
          v-for="vessel in spread.vessels"
          :key="vessel.id"
        >
          <span>{{ vessel.name }}<span class="soft">, {{ VESSEL_WORDS[vessel.kind] }}{{ vessel.litres ? `, ${vessel.litres} l` : '' }}</span></span>
          <ElButton
            text
            :aria-label="`${vessel.name} is not there`"
            @click="emit('vessels', spread.vessels.filter(one => one.id !== vessel.id))"
          >
            Not there
          </ElButton>
        </li>
      </ul>
      <p class="row">
        <LabelledChoice
          class="choice"
          asks="Borrow a"
          :chosen="kind"
          :options="kinds"
          @choose="value => { kind = value as VesselKind }"
        />
        <ElButton @click="emit('vessels', [...props.spread.vessels, { id: free('borrowed-', spread.vessels), name: `Borrowed ${VESSEL_WORDS[kind]}`, kind }])">
          Borrow it
        </ElButton>
        <label class="wash"><span>Washing a vessel between two dishes, min</span>
          <ElInputNumber
            :min="0"
            :max="120"
            :step="5"
            :model-value="spread.washMin"
            @change="value => emit('wash', Math.min(120, Math.max(0, Math.round(value ?? 0))))"
          /> emit('wash', Math.min(120, Math.max(0, Math.round(Number((event.target as HTMLInputElement).value) || 0))))"
          ></label>
      </p>
    </section>
  </div>
</template>

<style scoped>
.kitchen { display: grid; gap: 20px; grid-template-columns: minmax(0, 1fr) minmax(0, 2fr); }
ul { list-style: none; margin: 8px 0; padding: 0; display: grid; gap: 2px; }
li { display: flex; gap: 16px; align-items: center; justify-content: space-between; border-bottom: 1px solid var(--line); max-width: 34em; }
.row { display: flex; flex-wrap: wrap; gap: 8px 16px; align-items: end; }
.wash { display: grid; }
.wash span { font-weight: 600; font-size: 0.9375rem; }
@media (max-width: 820px) { .kitchen { grid-template-columns: minmax(0, 1fr); } }
/* In a row of fields it would shrink to its caret. */
.choice { min-width: 190px; }
</style>

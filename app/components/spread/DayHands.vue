<script setup lang="ts">
import { ref } from 'vue'
import { minuteText } from '../../composables/houseTime'
import type { Spread } from '../../../contracts/spread'
import TimeField from './TimeField.vue'
import DraftField from '../DraftField.vue'

type Hand = Spread['hands'][number]

const props = defineProps<{
  /** The day. */
  spread: Spread
}>()

const emit = defineEmits<{
  /** Who is there. */
  hands: [hands: readonly Hand[]]
  /** When all sleep, minutes of the day; null for never. */
  nights: [nights: Spread['nights']]
}>()

const from = ref(9 * 60)
const to = ref(10 * 60)
const alter = (id: string, change: Partial<Hand>): void => emit('hands', props.spread.hands.map(hand => (hand.id === id ? { ...hand, ...change } : hand)))
function more(): void {
  const id = Array.from({ length: 13 }, (_, i) => `h${i + 1}`).find(one => !props.spread.hands.some(hand => hand.id === one))!
  emit('hands', [...props.spread.hands, { id, name: 'A helper', roasts: false, away: [] }])
}
function gone(hand: Hand): void {
  const day = Math.floor((props.spread.meals.at(-1)?.at ?? 1440) / 1440) * 1440
  if (to.value > from.value) alter(hand.id, { away: [...hand.away, { from: day + from.value, to: day + to.value, why: 'away' }] })
}
</script>

<template>
  <div class="hands">
    <section>
      <h2>Hands</h2>
      <ul>
        <li
          v-for="hand in spread.hands"
          :key="hand.id"
        >
          <DraftField
            class="called"
            :value="hand.name"
            aria-label="Name"
            maxlength="60"
            @set="name => alter(hand.id, { name })"
          />
          <ElCheckbox
            :model-value="hand.roasts"
            label="stands at the fire"
            @update:model-value="value => alter(hand.id, { roasts: value === true })"
          />
          <span
            v-for="(away, i) in hand.away"
            :key="i"
          >away {{ minuteText(away.from) }}–{{ minuteText(away.to) }}
            <ElButton
              text
              :aria-label="`${hand.name} is there from ${minuteText(away.from)} to ${minuteText(away.to)} after all`"
              @click="alter(hand.id, { away: hand.away.filter((_, at) => at !== i) })"
            >there after all</ElButton></span>
          <ElButton @click="gone(hand)">
            Away {{ minuteText(from) }}–{{ minuteText(to) }}
          </ElButton>
          <ElButton
            v-if="spread.hands.length > 1"
            text
            @click="emit('hands', spread.hands.filter(one => one.id !== hand.id))"
          >
            Take off
          </ElButton>
        </li>
      </ul>
      <p class="row">
        <TimeField
          asks="Away from"
          :value="from"
          @set="value => { from = value }"
        />
        <TimeField
          asks="until"
          :value="to"
          @set="value => { to = value }"
        />
        <ElButton
          :disabled="spread.hands.length >= 12"
          @click="more"
        >
          One more pair of hands
        </ElButton>
      </p>
    </section>
    <section>
      <h2>Nights</h2>
      <p class="row">
        <template v-if="spread.nights">
          <TimeField
            asks="Asleep from"
            :value="spread.nights.from"
            @set="value => emit('nights', { from: value, to: spread.nights!.to })"
          />
          <TimeField
            asks="until"
            :value="spread.nights.to"
            @set="value => emit('nights', { from: spread.nights!.from, to: value })"
          />
        </template>
        <ElCheckbox
          :model-value="spread.nights !== null"
          label="everybody sleeps at night; no flame burns then"
          @update:model-value="value => emit('nights', value ? { from: 1350, to: 390 } : null)"
        />
      </p>
    </section>
  </div>
</template>

<style scoped>
.hands { display: grid; gap: 20px; }
ul { list-style: none; margin: 8px 0; padding: 0; display: grid; gap: 10px; }
li, .row { display: flex; flex-wrap: wrap; gap: 8px 16px; align-items: center; }
.row { align-items: end; }
.called { width: min(16rem, 100%); }
</style>

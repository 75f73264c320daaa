<script setup lang="ts">
import { computed } from 'vue'
import { minuteText } from '../../composables/houseTime'
import { TIGHT_MIN } from '../../../core/day/problem/slackOf'
import TimeField from './TimeField.vue'

const props = defineProps<{
  /** The step, `dish.activity`. */
  step: string
  /** Its name. */
  name: string
  /** Name of its dish. */
  dish: string
  /** Planned start, minutes from the eve. */
  from: number
  /** Planned end, minutes from the eve. */
  to: number
  /** Minutes to spare, where known. */
  slack: number | null
  /** Shortest, likely and longest minutes. */
  spans: readonly [number, number, number]
  /** Held at its start. */
  pinned: boolean
  /** Spans it is kept out of. */
  forbidden: readonly { readonly from: number, readonly to: number }[]
  /** True once it is begun. */
  begun: boolean
}>()

const emit = defineEmits<{
  /** Hold it at a minute, or let it go. */
  pin: [at: number | null]
  /** Keep it out of a span; null forgets all of them. */
  forbid: [span: { from: number, to: number } | null]
}>()

const day = computed(() => Math.floor(props.from / 1440) * 1440)
const sentence = computed(() => {
  const [shortest, likely, longest] = props.spans
  const spare = props.slack === null ? '' : props.slack < 0 ? ' It is late as things stand.' : props.slack < TIGHT_MIN ? ` Tight: ${props.slack} min to spare.` : ` ${props.slack} min to spare.`
  return `${shortest === longest ? `${likely} min` : `likely ${likely} min, ${shortest} to ${longest}`}.${spare}`
})
</script>

<template>
  <section
    class="step"
    aria-label="The step that is looked at"
  >
    <div>
            <p>{{ minuteText(from) }}–{{ minuteText(to) }}: {{ sentence }}</p>
    </div>
    <template v-if="!begun">
      <TimeField
        :asks="pinned ? 'Held at' : 'Hold at'"
        :value="from - day"
        @set="value => emit('pin', day + value)"
      />
      <ElButton
        v-if="pinned"
        @click="emit('pin', null)"
      >
        Let it go
      </ElButton>
      <ElButton
        v-else
        @click="emit('pin', from)"
      >
        Hold it here
      </ElButton>
      <ElButton
        v-if="forbidden.length === 0"
        @click="emit('forbid', { from, to })"
      >
        Not at this time
      </ElButton>
      <ElButton
        v-else
        @click="emit('forbid', null)"
      >
        Any time again
      </ElButton>
      <p
        v-if="forbidden.length > 0"
        class="soft"
      >
        Kept out of {{ forbidden.map(span => `${minuteText(span.from)}–${minuteText(span.to)}`).join(', ') }}.
      </p>
    </template>
  </section>
</template>

<style scoped>
.step { display: flex; flex-wrap: wrap; gap: 10px 16px; align-items: end; }
.step > div:first-child { flex: 1 1 320px; }
</style>

<script setup lang="ts">
import type { SpanPlace } from '../../../core/formulation/dish/spans'
import { ROLE_WORDS } from '../../../words/measure'
import SpanBand from '../SpanBand.vue'

defineProps<{
  /** Id of the ingredient within the dish. */
  id: string
  /** Its name in the table. */
  name: string
  /** Its name as it stands under the vessel. */
  short: string
  /** Amount in the household's measure. */
  said: string
  /** What a smaller measure adds; empty for nothing. */
  plus: string
  /** Weight, pieces, and how far the mark is off. */
  under: string
  /** Where it stands in its span, if it has one. */
  standing: SpanPlace | null
  /** That in words. */
  judged: string
  /** True while it is looked at more closely. */
  open: boolean
}>()

const emit = defineEmits<{
  /** It is to be looked at more closely, or not any more. */
  look: [id: string]
}>()
</script>

<template>
  <div>
    <h2>
      <ElButton
        link
        class="name"
        :aria-expanded="open"
        :aria-label="`${name}: amount, swaps, density`"
        @click="emit('look', id)"
      >
        {{ short }}
      </ElButton>
    </h2>
    <p class="amount">
      {{ said }}<span
        v-if="plus"
        class="plus"
      >{{ plus }}</span>
    </p>
    <p class="soft small">
      {{ under }}
    </p>
    <template v-if="standing">
      <SpanBand :standing="standing" />
      <p
        class="small"
        :class="standing.outside ? 'danger' : 'soft'"
      >
        {{ ROLE_WORDS[standing.role] }}: {{ judged }}
      </p>
    </template>
  </div>
</template>

<style scoped>
h2 { font-family: var(--text); font-size: 1.1rem; font-weight: 650; hyphens: auto; overflow-wrap: break-word; }
.name { display: inline-block; padding-block: 14px; margin-block: -14px; text-decoration-thickness: 1px; text-decoration-color: var(--line); }
.name:hover, .name[aria-expanded="true"] { text-decoration-color: var(--accent); color: var(--accent); }
.amount { font-size: 1.25rem; line-height: 1.2; }
.plus { display: block; font-size: 0.9375rem; }
</style>

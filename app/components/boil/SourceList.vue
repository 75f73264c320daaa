<script setup lang="ts">
import { dayText } from '../../composables/format'
import type { EvidenceSource } from '../../../contracts/lesson'
import { SOURCE_WORDS } from '../../../words/learned'

defineProps<{
  /** Batches, checks and batches from memory, newest first. */
  sources: readonly EvidenceSource[]
}>()

const emit = defineEmits<{
  /** It is no longer to be learned from, or is again. */
  forget: [source: EvidenceSource]
}>()
</script>

<template>
  <ol class="sources">
    <li
      v-for="source in sources"
      :key="source.id"
      :class="{ gone: source.forgotten }"
    >
      <span class="soft">{{ dayText(source.at) }}</span>
      <span>{{ source.kind === 'batch' ? '' : `${SOURCE_WORDS[source.kind]}: ` }}{{ source.name }}</span>
      <ElButton
        text
        :aria-label="`${source.forgotten ? 'Learn again from' : 'Forget'} ${source.name}, ${dayText(source.at)}`"
        @click="emit('forget', source)"
      >
        {{ source.forgotten ? 'Learn again' : 'Forget' }}
      </ElButton>
    </li>
  </ol>
</template>

<style scoped>
.sources { list-style: none; margin: 0; padding: 0; display: grid; }
li { display: grid; grid-template-columns: 64px minmax(0, 1fr) auto; gap: 10px; align-items: center; border-top: 1px solid var(--line); }
.gone span { text-decoration: line-through; }
</style>

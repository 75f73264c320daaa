<script setup lang="ts">
import { dayText } from '../../composables/format'
import type { DishVersion } from '../../../contracts/dish'
import type { DishCard } from '../../../core/formulation/dish/dish'
import { schoolOf } from '../../../words/dish'

defineProps<{
  /** Name of the dish, or null while none is looked at. */
  name: string | null
  /** Its versions, newest first. */
  versions: readonly DishVersion[]
}>()

const emit = defineEmits<{
  /** It is to be closed. */
  close: []
  /** An older version is to be taken again. */
  restore: [dish: DishCard]
}>()

/** The drawer takes a third of a table, and a phone whole. */
const WIDTH = 'min(420px, 100vw)'
</script>

<template>
  <ElDrawer
    :model-value="name !== null"
    :title="`Versions of ${name ?? ''}`"
    :size="WIDTH"
    @close="emit('close')"
  >
    <ol v-if="versions.length > 1">
      <li
        v-for="(version, i) in versions"
        :key="version.version"
      >
        <strong>Version {{ version.version }}</strong>, {{ dayText(version.createdAt) }}
        <span class="soft">{{ schoolOf(version.dish).slice(0, 3).join(', ') }}</span>
        <ElButton
          v-if="i > 0"
          @click="emit('restore', version.dish)"
        >
          Take this one again
        </ElButton>
        <span
          v-else
          class="now"
        >as it stands now</span>
      </li>
    </ol>
    <p
      v-else
      class="soft"
    >
      Not changed yet. Whenever the dish is kept with a change, the one before stays here.
    </p>
  </ElDrawer>
</template>

<style scoped>
ol { list-style: none; margin: 0; padding: 0; display: grid; gap: 14px; }
li { border-top: 2px solid var(--line); padding-top: 10px; display: grid; justify-items: start; gap: 4px; }
.now { font-weight: 600; color: var(--accent); }
</style>

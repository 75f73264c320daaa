<script setup lang="ts">
import type { ThingDrawing } from '../../drawings/things'

defineProps<{
  /** What stands on this board. */
  title: string
  /** The things, left to right. */
  things: readonly {
    readonly id: string
    readonly name: string
    /** Its size in words. */
    readonly size: string
    /** Where its numbers come from, or what it is made of. */
    readonly note: string
    readonly drawing: ThingDrawing
  }[]
  /** Id of the thing in hand, or null. */
  open: string | null
  /** What can be added, and what its button says. */
  adds: readonly (readonly [kind: string, label: string])[]
}>()

const emit = defineEmits<{
  /** A thing is taken from the shelf. */
  take: [id: string]
  /** Another one is wanted. */
  add: [kind: string]
}>()
</script>

<template>
  <section :aria-label="title">
    <header>
      <h2>{{ title }}</h2>
      <ElButton
        v-for="[kind, label] in adds"
        :key="kind"
        text
        @click="emit('add', kind)"
      >
        {{ label }}
      </ElButton>
    </header>
    <div class="board">
      <ElButton
        v-for="one in things"
        :key="one.id"
        plain
        class="thing"
        :aria-pressed="open === one.id"
        @click="emit('take', one.id)"
      >
        <svg
          :viewBox="one.drawing.viewBox"
          :width="one.drawing.widthPx"
          aria-hidden="true"
        ><path
          :class="one.drawing.kind"
          :d="one.drawing.path"
        /></svg>
        <span class="label"><strong>{{ one.name }}</strong> {{ one.size }}</span>
        <span class="soft small">{{ one.note }}</span>
      </ElButton>
    </div>
  </section>
</template>

<style scoped>
header { display: flex; align-items: center; gap: 14px; flex-wrap: wrap; }
h2 { font-size: 1.2rem; }
.board { display: flex; align-items: flex-end; gap: 26px; flex-wrap: wrap; padding-top: 8px; }
.thing { justify-items: center; align-content: end; background: none; border: 0; padding: 0; text-align: center; }
.thing svg { display: block; height: auto; max-width: 100%; border-bottom: 6px solid var(--ink); padding: 0 10px; box-sizing: content-box; }
.thing[aria-pressed="true"] { background: none; color: inherit; }
.thing[aria-pressed="true"] svg { border-color: var(--accent); }
.thing[aria-pressed="true"] .label strong { color: var(--accent); }
.label { margin-top: 6px; }
.label strong { display: block; }
.thin, .thick { fill: none; stroke: var(--metal); stroke-width: 2.6; stroke-linejoin: round; stroke-linecap: round; }
.thick { stroke-width: 7; }
.flames { fill: var(--ink-soft); }
</style>

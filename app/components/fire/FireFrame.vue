<script setup lang="ts" generic="Lit extends object">
import { useTemplateRef } from 'vue'

defineProps<{
  /** What the parts show; null while there is none, or none is read yet. */
  lit: Lit | null
  /** Clock and cue alone, to be read from two metres. */
  far: boolean
  /** Something is opened beside the arch: drawer or repairs. */
  aside: boolean
}>()

defineSlots<{
  /** What stands in the place of everything where there is no cook to show. */
  default?: () => unknown
  /** Name of the dish, what is kept, sound and view: takes the area `top`. */
  top: (lit: Lit) => unknown
  /** Clock, cue and arch: takes the area `arch`. */
  arch: (lit: Lit) => unknown
  /** What stands beside the fire, one slab below the other. */
  side: (lit: Lit) => unknown
  /** What is pressed. */
  hands: (lit: Lit) => unknown
}>()

const side = useTemplateRef<HTMLElement>('side')
defineExpose({
  /** Brings what was opened beside the fire to its beginning. */
  fromTop(): void {
    side.value?.scrollTo(0, 0)
    window.scrollTo(0, 0)
  },
  /** The part beside the fire. */
  side,
})
</script>

<template>
  <main
    id="main"
    class="fire"
    :class="{ far, aside }"
  >
    <slot />
    <template v-if="lit">
      <slot
        name="top"
        v-bind="lit"
      />
      <slot
        name="arch"
        v-bind="lit"
      />
      <aside
        ref="side"
        class="side"
        aria-label="Beside the fire"
      >
        <slot
          name="side"
          v-bind="lit"
        />
      </aside>
      <footer class="hands">
        <slot
          name="hands"
          v-bind="lit"
        />
      </footer>
    </template>
  </main>
</template>

<style scoped>
.fire { display: grid; grid-template: "top top" auto "arch side" minmax(0, 1fr) "hands side" auto / minmax(0, 1fr) 348px; column-gap: 30px; height: 100dvh; min-height: 720px; max-width: 1360px; margin: 0 auto; padding: 6px 28px 16px; }
.side { grid-area: side; overflow-y: auto; padding: 8px 0; min-height: 0; display: grid; gap: 16px; align-content: start; --slab-visibility: auto; }
/* A mark moves one part: no part moves another. */
.hands { grid-area: hands; display: grid; grid-template-columns: minmax(0, 1fr); gap: 4px; contain: layout; }
.far { grid-template: "top" auto "arch" minmax(0, 1fr) "hands" auto / minmax(0, 1fr); }
.far .side { display: none; }
@media (max-width: 1000px) and (min-width: 701px) and (min-height: 521px) {
  .fire:not(.far) { grid-template: "top" auto "arch" minmax(420px, 1fr) "hands" auto "side" minmax(300px, auto) / minmax(0, 1fr); height: auto; min-height: 100dvh; }
  /* What is opened stands below the actions and scrolls by itself: clock and cue stay where they are. */
  .fire.aside:not(.far) { height: 100dvh; grid-template-rows: auto minmax(300px, 1fr) auto minmax(0, 1fr); }
}
@media (max-width: 700px) {
  /* Clock, cue and actions stay in sight; what stands beside the fire scrolls between them. */
  .fire { padding: 6px 12px 8px; min-height: 0; row-gap: 4px; }
  .fire:not(.far) { grid-template: "top" auto "arch" auto "side" minmax(0, 1fr) "hands" auto / minmax(0, 1fr); }
  .hands { background: var(--wall); z-index: 1; }
}
@media (max-height: 520px) and (orientation: landscape) {
  .fire { min-height: 0; padding: 2px 16px 8px; column-gap: 20px; }
  .fire:not(.far) { grid-template: "top top" auto "arch hands" auto "side side" auto / minmax(0, 1fr) minmax(0, 1fr); height: auto; }
  .hands { align-content: center; }
  .side { overflow: visible; }
  /* What is opened takes the right half; clock, cue and the first action share the left one. */
  .fire.aside:not(.far) { grid-template: "top top" auto "arch side" auto "hands side" minmax(0, 1fr) / minmax(0, 1fr) minmax(0, 1fr); height: 100dvh; }
  .aside .side { overflow-y: auto; }
  .aside .hands { align-content: start; }
  .far { grid-template: "top top" auto "arch hands" minmax(0, 1fr) / minmax(0, 1fr) 240px; }
}
/* Enlarged fourfold there is room for one thing after another: all of it flows, nothing lies over anything. */
@media (max-width: 420px) and (max-height: 420px) {
  .fire, .fire.aside:not(.far) { display: flex; flex-direction: column; gap: 8px; height: auto; padding: 4px 12px 8px; }
  .hands { flex: none; order: 1; }
  .side, .aside .side { flex: none; overflow: visible; order: 2; }
}
</style>

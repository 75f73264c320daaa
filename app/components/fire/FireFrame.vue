<script setup lang="ts">
defineProps<{
  /** Clock and cue alone, to be read from two metres. */
  far: boolean
  /** Something is opened beside the arch: drawer or repairs. */
  aside: boolean
}>()
</script>

<template>
  <main
    id="main"
    class="fire"
    :class="{ far, aside }"
  >
    <slot />
  </main>
</template>

<style scoped>
.fire { display: grid; grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr) 348px; column-gap: 30px; height: 100dvh; min-height: 720px; max-width: 1360px; margin: 0 auto; padding: 6px 28px 16px; }
.fire :deep(.top) { grid-column: 1 / -1; display: flex; align-items: center; gap: 16px; min-height: 46px; }
.fire :deep(.top svg) { fill: var(--ink); flex: none; }
.fire :deep(.top :is(.el-button, .stone-button)) { min-height: 56px; }
.fire :deep(.top h1) { font-size: 1.5rem; }
.fire :deep(.top h1), .fire :deep(.kept), .fire :deep(.top :is(.el-button, .stone-button)) { white-space: nowrap; flex: none; }
.fire :deep(.facts) { flex: 1 1 0; min-width: 0; max-height: 2.6em; line-height: 1.25; overflow: hidden; }
.fire :deep(.kept) { margin-left: auto; }
.fire :deep(.side) { grid-row: 2 / 4; grid-column: 2; overflow-y: auto; padding: 8px 0; min-height: 0; display: grid; gap: 16px; align-content: start; }
/* A mark moves one part: what is out of sight is not laid out again, and no part moves another. */
.fire :deep(.side .slab) { content-visibility: auto; contain-intrinsic-size: auto 9rem; }
.fire :deep(.hands) { contain: layout; }
.fire :deep(.hands) { grid-column: 1; display: grid; gap: 4px; }
.fire :deep(.minor) { display: flex; gap: 4px; }
.fire :deep(.minor :is(.el-button, .stone-button)) { min-height: 56px; line-height: 1.15; }
.fire.far { grid-template-columns: minmax(0, 1fr); }
.fire.far :deep(.side), .fire.far :deep(.minor), .fire.far :deep(.facts), .fire.far :deep(.pace), .fire.far :deep(.pan), .fire.far :deep(svg.arch) { display: none; }
.fire.far :deep(.opening) { inset: 0; justify-content: center; }
.fire.far :deep(.clock) { font-size: min(28vw, 30vh, 330px); }
.fire.far :deep(.cue) { font-size: min(8vw, 10vh, 92px); max-width: none; }
.fire.far :deep(.detail) { font-size: min(4.6vw, 6vh, 56px); max-width: none; }
.fire.far :deep(.windows) { display: block; max-width: none; font-size: min(3.2vw, 4.4vh, 40px); }
@media (min-width: 701px) and (min-height: 521px) {
  .fire :deep(.minor :is(.el-button, .stone-button):not(:first-child)) { flex: none; }
}
@media (max-width: 1000px) and (min-width: 701px) and (min-height: 521px) {
  .fire { grid-template: auto minmax(420px, 1fr) auto minmax(300px, auto) / minmax(0, 1fr); height: auto; min-height: 100dvh; }
  .fire :deep(.hands) { grid-row: 3; }
  .fire :deep(.side) { grid-row: 4; grid-column: 1; }
  .fire :deep(.facts) { display: none; }
  /* What is opened stands below the actions and scrolls by itself: clock and cue stay where they are. */
  .fire.aside { height: 100dvh; grid-template-rows: auto minmax(300px, 1fr) auto minmax(0, 1fr); }
}
@media (max-width: 700px) {
  /* Clock, cue and actions stay in sight; what stands beside the fire scrolls between them. */
  .fire { grid-template: auto auto minmax(0, 1fr) auto / minmax(0, 1fr); padding: 6px 12px 8px; min-height: 0; height: 100dvh; row-gap: 4px; }
  .fire :deep(.top) { min-height: 30px; gap: 0 8px; display: grid; grid-template-columns: 1fr 1fr 1fr; align-items: center; }
  .fire :deep(.top svg), .fire :deep(.facts) { display: none; }
  .fire :deep(.top h1) { font-size: 1.05rem; overflow: hidden; text-overflow: ellipsis; grid-column: span 2; }
  .fire :deep(.top :is(.el-button, .stone-button)) { min-height: 56px; font-size: 0.9375rem; white-space: nowrap; padding-inline: 0.3rem; }
  .fire :deep(.kept) { font-size: 0.8125rem; overflow: hidden; text-overflow: ellipsis; }
  .fire :deep(.frame) { height: min(40dvh, 89vw); aspect-ratio: 390 / 350; width: auto; margin: 0 auto; }
  .fire :deep(.hands) { grid-row: 4; background: var(--wall); z-index: 1; }
  .fire :deep(.minor) { font-size: 0.875rem; display: grid; grid-template-columns: 1fr 1fr; gap: 2px 6px; }
  .fire :deep(.minor :is(.el-button, .stone-button)) { padding-inline: 0.3rem; }
  .fire :deep(.side) { grid-row: 3; grid-column: 1; overflow-y: auto; }
  /* What is opened takes the arch's room as well: clock and cue stay. */
  .fire.aside :deep(svg.arch), .fire.aside :deep(.pan), .fire.aside :deep(.detail) { display: none; }
  .fire.aside :deep(.frame) { aspect-ratio: auto; height: auto; }
  .fire.aside :deep(.opening) { position: static; }
  .fire.aside :deep(.big:not(.el-button--primary):not([data-first])) { display: none; }
  .fire.far :deep(.frame) { height: 100%; width: 100%; }
  .fire.far :deep(.cue) { font-size: 11vw; }
  .fire.far :deep(.detail) { font-size: 6vw; }
  .fire.far :deep(.windows) { font-size: 5.6vw; }
}
@media (max-height: 520px) and (orientation: landscape) {
  .fire { grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr) minmax(0, 1fr); min-height: 0; height: auto; padding: 2px 16px 8px; column-gap: 20px; }
  .fire :deep(.top) { min-height: 34px; }
  .fire :deep(.top svg), .fire :deep(.facts) { display: none; }
  .fire :deep(.top h1) { font-size: 1.05rem; white-space: nowrap; }
  .fire :deep(.top :is(.el-button, .stone-button)) { min-height: 56px; white-space: nowrap; }
  .fire :deep(.kept) { white-space: nowrap; }
  .fire :deep(.arch) { grid-column: 1; }
  .fire :deep(.hands) { grid-column: 2; grid-row: 2; align-content: center; }
  .fire :deep(.minor) { order: 2; font-size: 0.875rem; }
  .fire :deep(.minor :is(.el-button, .stone-button)) { padding-inline: 0.2rem; line-height: 1.1; }
  .fire :deep(.side) { grid-column: 1 / -1; grid-row: 3; overflow: visible; }
  /* What is opened takes the right half; clock, cue and the first action share the left one. */
  .fire.aside { height: 100dvh; grid-template-rows: auto auto minmax(0, 1fr); }
  .fire.aside :deep(.side) { grid-column: 2; grid-row: 2 / 4; overflow-y: auto; }
  .fire.aside :deep(.arch) { grid-row: 2; }
  .fire.aside :deep(.hands) { grid-column: 1; grid-row: 3; align-content: start; }
  .fire.aside :deep(.clock) { font-size: 84px; }
  .fire.aside :deep(.detail) { display: none; }
  .fire.aside :deep(.big:not(.el-button--primary):not([data-first])) { display: none; }
  .fire.far { grid-template-columns: minmax(0, 1fr) 240px; }
  .fire.far :deep(.clock) { font-size: 40vh; }
  .fire.far :deep(.cue) { font-size: min(7.5vw, 15vh); }
}
/* Enlarged fourfold there is room for one thing after another: all of it flows, nothing lies over anything. */
@media (max-width: 420px) and (max-height: 420px) {
  .fire, .fire.aside { display: flex; flex-direction: column; gap: 8px; height: auto; padding: 4px 12px 8px; }
  .fire > :deep(*) { flex: none; }
  .fire :deep(.frame) { height: auto; aspect-ratio: auto; width: 100%; }
  .fire :deep(.hands) { order: 1; }
  .fire :deep(.top) { display: flex; flex-wrap: wrap; }
  .fire :deep(.top h1), .fire :deep(.kept), .fire :deep(.top :is(.el-button, .stone-button)) { white-space: normal; }
  .fire :deep(.minor) { display: grid; grid-template-columns: 1fr 1fr; }
  .fire :deep(.side), .fire.aside :deep(.side) { overflow: visible; order: 2; }
}
</style>

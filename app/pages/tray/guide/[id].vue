<script setup lang="ts">
import { computed } from 'vue'
import { useAfterFire } from '../../../composables/afterFire'
import { useCooks } from '../../../stores/cooks'
import { lengthText } from '../../../composables/format'
import { guideSheets } from '../../../drawings/cuttingGuide'
import { trayView } from '../../../drawings/trayView'
import { cutTray } from '../../../../core/formulation/tray/cutTray'
import { pageTitle } from '../../../../words/titles'

const id = String(useRoute().params.id)
const { cook, plan, state } = useAfterFire(id, useCooks())
useHead({ title: () => pageTitle('/tray/guide/', plan.value?.dish.name) })
const shaped = computed(() => {
  const what = cook.value?.after.shaped?.what
  return what?.way === 'tray' ? what : null
})
const cut = computed(() => (shaped.value ? cutTray(shaped.value.tray, shaped.value.cut) : null))
const view = computed(() => (shaped.value && cut.value ? trayView(shaped.value.tray, cut.value) : null))
const sheets = computed(() => (shaped.value ? guideSheets(shaped.value.tray) : []))
function print(): void {
  window.print()
}
</script>

<template>
  <main
    id="main"
    class="guide"
  >
    <h1 class="visually-hidden">
      Cutting guide{{ plan ? ` for ${plan.dish.name}` : '' }}
    </h1>
    <p class="screen-only bar">
      <NuxtLink
        class="stone-button"
        :to="`/tray/${id}`"
      >
        Back to the tray
      </NuxtLink>
      <ElButton
        type="primary"
        @click="print"
      >
        Print
      </ElButton>
      <span>Print at 100 %, not fitted to the page; then lay a ruler to the line of 100 mm.</span>
    </p>
    <p
      v-if="!shaped && state !== 'loading'"
      class="screen-only none"
    >
      This batch is not cut in a tray yet.
    </p>
    <div
      class="sheets"
      tabindex="0"
      role="region"
      aria-label="The sheets, at their true size"
    >
    <section
      v-for="sheet in sheets"
      :key="`${sheet.column}-${sheet.row}`"
      class="sheet"
    >
      <header>
        <strong>{{ plan?.dish.name }}</strong>, {{ shaped?.tray.name.toLowerCase() }}: {{ cut?.whole }} whole pieces<span v-if="shaped">, marks {{ lengthText(shaped.cut.firstMm) }} and {{ lengthText(shaped.cut.secondMm) }} apart</span>
        <span v-if="sheets.length > 1"> · sheet {{ sheet.column }} across, {{ sheet.row }} down; lap over by 10 mm</span>
      </header>
      <svg
        v-if="view"
        :viewBox="`${sheet.x} ${sheet.y} ${sheet.width} ${sheet.height}`"
        :width="`${sheet.width}mm`"
        :height="`${sheet.height}mm`"
        role="img"
        :aria-label="`Knife marks at true size, sheet ${sheet.column} across, ${sheet.row} down`"
      >
        <circle
          v-if="view.round"
          :r="view.wall.width / 2"
          class="wall"
        />
        <rect
          v-else
          v-bind="view.wall"
          class="wall"
        />
        <line
          v-for="(mark, i) in view.marks"
          :key="i"
          v-bind="mark"
          class="mark"
        />
      </svg>
      <footer>
        <svg
          viewBox="-1 0 104 6"
          width="104mm"
          height="6mm"
          role="img"
          aria-label="A line of 100 millimetres"
        ><path
          d="M0 0V4M0 2H100M100 0V4"
          class="ruler"
        /></svg>
        <span>100 mm</span>
      </footer>
    </section>
    </div>
  </main>
</template>

<style scoped>
.guide { color-scheme: light; padding: 20px; background: #fff; color: #000; min-height: 100vh; }
/* It is as large as it will lie on the tray: on a small screen it is moved under the window, not made smaller. */
@media screen { .sheets { overflow-x: auto; } }
.bar { display: flex; flex-wrap: wrap; gap: 12px; align-items: center; color: #1b2040; }
.bar :is(.el-button, .stone-button) { color: #1b2040; background: #f7fafb; border-color: #1b2040; }
.bar .el-button--primary { background: #1e6b62; color: #fff; border-color: #124a43; }
.none { color: #1b2040; padding: 2rem 0; }
.sheet { margin: 16px auto 30px; width: 190mm; }
header, footer { font-size: 10pt; }
footer { display: flex; gap: 4mm; align-items: center; }
.sheet > svg { display: block; overflow: hidden; }
.wall { fill: none; stroke: #000; stroke-width: 0.6; }
.mark { stroke: #000; stroke-width: 0.35; }
.ruler { fill: none; stroke: #000; stroke-width: 0.4; }
@page { margin: 8mm; }
@media print {
  .screen-only { display: none; }
  .guide { padding: 0; }
  .sheet { margin: 0; break-after: page; break-inside: avoid; }
  .sheet:last-child { break-after: auto; }
}
</style>

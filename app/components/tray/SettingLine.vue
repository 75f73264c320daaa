<script setup lang="ts">
import { computed } from 'vue'
import type { Setting } from '../../../core/process/cooling/settingOf'
import { SETS_BY_WORDS } from '../../../words/after'
import { degreesText, dateTimeText } from '../../composables/format'

const props = defineProps<{
  /** How it sets. */
  setting: Setting
  /** When it was spread, ms since 1970. */
  spreadAt: number
  /** The hearth's time. */
  now: number
  /** The room, °C. */
  roomC: number
}>()

const WIDTH = 640
const at = (seconds: number): number => props.spreadAt + seconds * 1000
const text = (seconds: number): string => dateTimeText(at(seconds), props.now)
const cut = computed(() => props.setting.cut)
const spanS = computed(() => (cut.value ? cut.value.late * 1.12 : 3600))
const x = (seconds: number): number => Math.max(0, Math.min(WIDTH, seconds / spanS.value * WIDTH))
const nowS = computed(() => (props.now - props.spreadAt) / 1000)
const says = computed(() => {
  if (!cut.value) return 'It does not grow firm in this room: into the cold.'
  if (nowS.value > cut.value.late) return 'It has set: cut it through.'
  if (nowS.value > cut.value.early) return 'Look now: where a knife comes out clean, cut it through.'
  return nowS.value < props.setting.scoreUntilS ? `Score it now, until about ${text(props.setting.scoreUntilS)}.` : `Leave it. Look first at ${text(cut.value.early)}.`
})
</script>

<template>
  <section
    class="setting"
    aria-label="Setting"
  >
    <h2>{{ says }}</h2>
    <svg
      v-if="cut"
      :viewBox="`0 0 ${WIDTH} 30`"
      role="img"
      :aria-label="`Score until about ${text(setting.scoreUntilS)}; it can be cut from ${text(cut.early)} to ${text(cut.late)}, most likely at ${text(cut.middle)}`"
    >
      <rect
        class="track"
        x="0"
        y="11"
        :width="WIDTH"
        height="8"
      />
      <rect
        class="score"
        x="0"
        y="11"
        :width="x(setting.scoreUntilS)"
        height="8"
      />
      <rect
        class="cut"
        :x="x(cut.early)"
        y="7"
        :width="x(cut.late) - x(cut.early)"
        height="16"
      />
      <line
        class="middle"
        :x1="x(cut.middle)"
        :x2="x(cut.middle)"
        y1="3"
        y2="27"
      />
      <circle
        v-if="nowS > 0 && nowS < spanS"
        class="now"
        :cx="x(nowS)"
        cy="15"
        r="7"
      />
    </svg>
    <dl v-if="cut">
      <div><dt>Score</dt><dd>until {{ text(setting.scoreUntilS) }}</dd></div>
      <div><dt>Look</dt><dd>{{ text(cut.early) }}</dd></div>
      <div><dt>Cut</dt><dd>{{ text(cut.middle) }}, by {{ text(cut.late) }}</dd></div>
    </dl>
    <p class="soft small">
      It holds by {{ SETS_BY_WORDS[setting.by] }}, below {{ degreesText(setting.holdsAtC) }} in its middle; room {{ degreesText(roomC) }}. A soft middle under a set top is right for some.
    </p>
  </section>
</template>

<style scoped>
.setting { display: grid; gap: 8px; }
svg { width: 100%; max-width: 640px; height: auto; display: block; }
.track { fill: var(--wall-sunk); }
.score { fill: var(--ink-soft); }
.cut { fill: var(--accent); fill-opacity: 0.35; stroke: var(--accent); stroke-width: 2; }
.middle { stroke: var(--accent); stroke-width: 3; }
.now { fill: var(--wall); stroke: var(--ink); stroke-width: 4; }
dl { display: flex; flex-wrap: wrap; gap: 6px 28px; margin: 0; }
dt { font-weight: 600; display: inline; margin-right: 0.5em; }
dd { display: inline; margin: 0; }
</style>

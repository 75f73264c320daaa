<script setup lang="ts">
import { computed } from 'vue'
import type { Awake } from '../../../composables/awake'
import { MEANINGS, type Meaning } from '../../../composables/sounds'
import { MEANING_WORDS } from '../../../../words/sounds'
import ChoiceRow from './ChoiceRow.vue'

const props = defineProps<{
  /** Whether sounds are on. */
  sounds: boolean
  /** Whether cues are spoken. */
  speech: boolean
  /** Whether this browser can speak. */
  canSpeak: boolean
  /** How the screen is kept awake. */
  awake: Awake
  /** Whether the page is served securely. */
  secure: boolean
  /** Whether single letters do anything here. */
  letters: boolean
}>()

const emit = defineEmits<{
  /** Sounds on or off. */
  sounds: [on: boolean]
  /** Spoken cues on or off. */
  speech: [on: boolean]
  /** Single letters on or off. */
  letters: [on: boolean]
  /** A sound is to be heard. */
  hear: [meaning: Meaning]
}>()

const AWAKE: Readonly<Record<Awake, string>> = {
  lock: 'The screen is kept awake.', picture: 'No wake lock here: a small moving picture keeps most screens awake. If yours sleeps, set its own time longer.',
  none: 'This browser lets the screen sleep: set the device\'s own time longer.', off: 'The screen is kept awake while something is on the fire.',
}
const missing = computed(() => (props.secure ? '' : 'Over plain http this page is not kept for a reload without the hearth, and has no camera: leave it open. Marks are kept and sent when the hearth is back.'))
</script>

<template>
  <fieldset>
    <legend>This device</legend>
    <div class="marks">
      <ElSwitch
        :model-value="sounds"
        active-text="Sounds"
        aria-label="Sounds"
        @change="value => emit('sounds', value === true)"
      />
      <ElSwitch
        :model-value="speech"
        active-text="Spoken cues"
        aria-label="Spoken cues"
        :disabled="!canSpeak"
        @change="value => emit('speech', value === true)"
      />
    </div>
    <p class="soft small">
      {{ canSpeak ? 'Touch the cue to hear it said.' : '' }} {{ AWAKE[awake] }} {{ missing }}
    </p>
  </fieldset>
  <fieldset>
    <legend>Keys</legend>
    <p class="small">
      Space and 1 to 4 press the large actions, Esc closes what is open. Letters: z takes back, m everything else, x something is wrong, f far view, w what now, q quiet.
    </p>
    <ElSwitch
      :model-value="letters"
      active-text="Letters on"
      inactive-text="off"
      aria-label="Letters do something here"
      @change="on => emit('letters', on === true)"
    />
  </fieldset>
  <ChoiceRow
    legend="Hear what each sound means"
    :choices="MEANINGS.map(key => ({ key, text: MEANING_WORDS[key], label: `Hear: ${MEANING_WORDS[key]}` }))"
    @choose="meaning => emit('hear', meaning)"
  />
</template>

<style scoped>
fieldset { border: 0; padding: 0; margin: 0; min-width: 0; }
legend { font-weight: 600; padding: 0 0 0.3rem; display: block; }
.marks { display: flex; flex-wrap: wrap; gap: 8px; margin-bottom: 6px; }
.marks .el-button { min-height: 56px; }
</style>

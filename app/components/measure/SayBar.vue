<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import type { Said } from '../../composables/saying'
import type { Measure } from '../../../contracts/kitchen'
import ChoiceSelect from '../ChoiceSelect.vue'
import TroubleNote from '../TroubleNote.vue'

const props = defineProps<{
  /** Cup in hand. */
  cup: Measure
  /** Cups to choose from. */
  cups: readonly Measure[]
  /** Scales the dish as it is said; the same function throughout, so that nothing here is drawn while a level is dragged. */
  say: (text: string) => Said | null
  /** True where there is something to take back. */
  canUndo: boolean
  /** Another one for every change of the sheet: what was said of an older one is gone with it. */
  stamp: unknown
}>()

const emit = defineEmits<{
  /** Another cup is in hand. */
  cup: [id: string]
  /** The last change is to be taken back. */
  undo: []
  /** Scales in the household's own measures are asked for. */
  owned: []
}>()

const spoken = ref('')
const said = ref<Said | null>(null)
const options = computed(() => props.cups.map(one => ({ value: one.id, label: `${one.name}, ${Math.round(one.volumeMl)} ml` })))
async function set(): Promise<void> {
  const answer = props.say(spoken.value)
  await nextTick()
  said.value = answer
}
watch(() => props.stamp, () => {
  said.value = null
}, { flush: 'sync' })
</script>

<template>
  <div class="saybar">
    <form
      class="say"
      @submit.prevent="set"
    >
      <ChoiceSelect
        class="cup"
        label="Cup"
        :chosen="cup.id"
        :options="options"
        @choose="value => emit('cup', value)"
      />
      <label for="say">Make it from</label>
      <ElInput
        id="say"
        v-model="spoken"
        placeholder="2 glasses, 300 g, 6 people, 1 : 1 : 1 : 3, what is on hand"
        autocomplete="off"
      />
      <ElButton native-type="submit">
        Set
      </ElButton>
      <ElButton @click="emit('owned')">
        On my marks
      </ElButton>
      <ElButton
        text
        :disabled="!canUndo"
        @click="emit('undo')"
      >
        Undo
      </ElButton>
    </form>
    <TroubleNote :says="said && 'trouble' in said ? said.trouble : ''" />
    <p
      class="soft small"
      role="status"
    >
      {{ said && 'heard' in said ? said.heard : '' }}
    </p>
  </div>
</template>

<style scoped>
.say { display: flex; gap: 10px; align-items: center; }
.say label { color: var(--ink-soft); white-space: nowrap; }
.say .el-input { flex: 1 1 180px; min-width: 0; }
.say .el-button { white-space: nowrap; padding-inline: 0.8rem; }
.cup { flex: 0 1 215px; min-width: 150px; }
p { padding-top: 4px; }
@media (max-width: 760px) {
  .say { flex-wrap: wrap; }
  .cup { flex: 1 1 100%; }
}
</style>

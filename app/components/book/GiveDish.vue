<script setup lang="ts">
import { encode } from 'uqr'
import { computed, ref, watchEffect } from 'vue'
import { dishAddress } from '../../composables/dishAddress'
import type { SharedDish } from '../../../contracts/sharedDish'

const props = defineProps<{
  /** The dish, with what of it another house cannot know. */
  shared: SharedDish
  /** Address of this house. */
  here: string
}>()

const emit = defineEmits<{
  /** It is to be closed. */
  close: []
}>()

const house = ref(props.here)
const address = ref('')
const copied = ref('')
watchEffect(async () => {
  const wanted = house.value.trim()
  const made = await dishAddress(props.shared, wanted)
  if (wanted === house.value.trim()) [address.value, copied.value] = [made, '']
})
/** The code as squares; null where it is more than a code holds (ISO/IEC 18004). */
const code = computed(() => {
  if (address.value === '') return null
  try {
    const { data, size } = encode(address.value, { ecc: 'L', border: 4 })
    return { size, path: data.flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x} ${y}h1v1h-1z`] : []))).join('') }
  }
  catch {
    return null
  }
})
async function copy(): Promise<void> {
  copied.value = await navigator.clipboard.writeText(address.value).then(() => 'Copied.', () => 'This browser does not let it be copied: mark the address and copy it by hand.')
}
</script>

<template>
  <ElDialog
    :model-value="true"
    :title="`${shared.dish.name}, for another house`"
    width="min(560px, 96vw)"
    append-to-body
    @close="emit('close')"
  >
    <div class="give">
      <p>All of the dish is in this address: its amounts, its choices<template v-if="shared.ingredients.length > 0">
        , and your own ingredients in it
      </template>. Opening it asks before anything is kept.</p>
      <label>Address of the house that takes it <ElInput
        v-model="house"
        autocomplete="off"
      /></label>
      <div class="ends">
        <ElButton
          type="primary"
          @click="copy"
        >
          Copy the address
        </ElButton>
        <p
          class="soft"
          role="status"
        >
          {{ copied }}
        </p>
      </div>
      <svg
        v-if="code"
        :viewBox="`0 0 ${code.size} ${code.size}`"
        role="img"
        :aria-label="`A code to scan: the address of ${shared.dish.name}`"
        class="code"
        shape-rendering="crispEdges"
      >
        <rect
          width="100%"
          height="100%"
          fill="#fff"
        />
        <path
          :d="code.path"
          fill="#000"
        />
      </svg>
      <p
        v-else-if="address !== ''"
        class="danger"
      >
        This dish is more than a code holds. Its address below holds all of it.
      </p>
      <label>The address <ElInput
        :model-value="address"
        readonly
      /></label>
    </div>
  </ElDialog>
</template>

<style scoped>
.give { display: grid; gap: 12px; font-size: 1.0625rem; }
.give p { margin: 0; }
label { display: grid; gap: 4px; font-weight: 600; }
.code { width: min(100%, 300px); justify-self: center; }
.ends { display: flex; flex-wrap: wrap; gap: 10px; align-items: center; }
</style>

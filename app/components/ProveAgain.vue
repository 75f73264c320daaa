<script setup lang="ts">
import { ref, watch } from 'vue'
import TroubleNote from './TroubleNote.vue'

const props = defineProps<{
  /** Whether it is asked for now. */
  asked: boolean
  /** Says the passphrase; answers with what stands against it. */
  tell: (passphrase: string) => Promise<string>
}>()
const emit = defineEmits<{
  /** It is left; nothing is taken away. */
  leave: []
}>()

const passphrase = ref('')
const trouble = ref('')
const busy = ref(false)
watch(() => props.asked, () => {
  passphrase.value = trouble.value = ''
})

async function send(): Promise<void> {
  busy.value = true
  trouble.value = await props.tell(passphrase.value)
  busy.value = false
}
</script>

<template>
  <ElDialog
    :model-value="asked"
    title="Say the passphrase once more"
    width="min(30rem, calc(100vw - 24px))"
    append-to-body
    @update:model-value="emit('leave')"
  >
    <form
      class="prove"
      @submit.prevent="send"
    >
      <p>This takes something away, puts something in its place, or sends a device out. For a quarter of an hour this device is not asked again.</p>
      <label for="passphrase-again">The household's passphrase</label>
      <ElInput
        id="passphrase-again"
        v-model="passphrase"
        type="password"
        autocomplete="current-password"
        autofocus
      />
      <TroubleNote :says="trouble" />
      <div class="row">
        <ElButton
          type="primary"
          native-type="submit"
          :disabled="busy || passphrase === ''"
        >
          {{ busy ? 'One moment' : 'Do it' }}
        </ElButton>
        <ElButton @click="emit('leave')">
          Leave it as it is
        </ElButton>
      </div>
    </form>
  </ElDialog>
</template>

<style scoped>
.prove { display: grid; gap: 8px; }
.prove p { margin: 0; }
label { font-weight: 600; }
.row { display: flex; gap: 10px; margin-top: 6px; }
.row .el-button { min-height: 56px; margin: 0; flex: 1; }
</style>

<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import { reactive, ref, watch } from 'vue'
import { ProofSchema } from '../../contracts/house'
import { formRules, isRight } from '../composables/formRules'
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

const typed = reactive({ passphrase: '' })
const form = ref<FormInstance | null>(null)
const rules = formRules(ProofSchema, { passphrase: { says: 'Type the household\'s passphrase first. Nothing was changed.' } })
const trouble = ref('')
const busy = ref(false)
watch(() => props.asked, () => {
  typed.passphrase = trouble.value = ''
})

async function send(): Promise<void> {
  if (!await isRight(form)) return
  busy.value = true
  trouble.value = await props.tell(typed.passphrase)
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
    <ElForm
      ref="form"
      class="prove"
      :model="typed"
      :rules="rules"
      hide-required-asterisk
      @submit.prevent="send"
    >
      <p>This takes something away, puts something in its place, or sends a device out. For a quarter of an hour this device is not asked again.</p>
      <ElFormItem
        prop="passphrase"
        label="The household's passphrase"
      >
        <ElInput
          v-model="typed.passphrase"
          type="password"
          autocomplete="current-password"
          autofocus
        />
      </ElFormItem>
      <TroubleNote :says="trouble" />
      <div class="row">
        <ElButton
          type="primary"
          native-type="submit"
          :disabled="busy"
        >
          {{ busy ? 'One moment' : 'Do it' }}
        </ElButton>
        <ElButton @click="emit('leave')">
          Leave it as it is
        </ElButton>
      </div>
    </ElForm>
  </ElDialog>
</template>

<style scoped>
.prove { display: grid; gap: 8px; }
.prove p { margin: 0; }
.row { display: flex; gap: 10px; margin-top: 6px; }
.row .el-button { min-height: 56px; margin: 0; flex: 1; }
</style>

<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import { reactive, ref } from 'vue'
import { EnterSchema } from '../../contracts/house'
import type { ProblemCode } from '../../contracts/problem'
import { formRules, isRight } from '../composables/formRules'
import TroubleNote from './TroubleNote.vue'

const props = defineProps<{
  /** Why this device stands outside. */
  why: ProblemCode
  /** Lets it in; answers with what stands against it. */
  enter: (passphrase: string, name: string) => Promise<string>
}>()

const typed = reactive({ passphrase: '', name: '' })
const form = ref<FormInstance | null>(null)
const rules = formRules(EnterSchema, {
  passphrase: { says: 'Type the household\'s passphrase first. Nothing was changed.' },
  name: { says: 'Sixty letters are enough for a name.', read: text => text.trim() },
})
const trouble = ref('')
const busy = ref(false)

async function send(): Promise<void> {
  if (!await isRight(form)) return
  busy.value = true
  trouble.value = await props.enter(typed.passphrase, typed.name.trim())
  busy.value = false
}
</script>

<template>
  <section
    class="enter"
    aria-label="Enter the house"
  >
    <h1>Enter the house</h1>
    <p v-if="why === 'no-passphrase'">
      This hearth has no passphrase yet. Set one on the machine it runs on: Kitchen, House network. Then come back here.
    </p>
    <ElForm
      v-else
      ref="form"
      :model="typed"
      :rules="rules"
      hide-required-asterisk
      @submit.prevent="send"
    >
      <ElFormItem
        prop="passphrase"
        label="The household's passphrase"
      >
        <ElInput
          id="passphrase"
          v-model="typed.passphrase"
          type="password"
          size="large"
          autocomplete="current-password"
        />
      </ElFormItem>
      <ElFormItem
        prop="name"
        label="What this device is called (if you like)"
      >
        <ElInput
          id="device-name"
          v-model="typed.name"
          size="large"
          maxlength="60"
          placeholder="phone at the fire"
          autocomplete="off"
        />
      </ElFormItem>
      <ElButton
        type="primary"
        native-type="submit"
        :disabled="busy"
      >
        {{ busy ? 'One moment' : 'Enter' }}
      </ElButton>
      <TroubleNote :says="trouble" />
      <p class="soft small">
        It is kept here for half a year. What was marked on this device is safe and goes on once you are in.
      </p>
    </ElForm>
  </section>
</template>

<style scoped>
.enter { max-width: 30rem; margin: 0 auto; padding: 2rem 16px; }
.el-form { display: grid; gap: 0.5rem; margin-top: 1rem; }
.el-button { min-height: 64px; font-size: 1.3rem; margin-top: 0.5rem; }
</style>

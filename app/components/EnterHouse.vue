<script setup lang="ts">
import { ref } from 'vue'
import type { ProblemCode } from '../../contracts/problem'
import TroubleNote from './TroubleNote.vue'

const props = defineProps<{
  /** Why this device stands outside. */
  why: ProblemCode
  /** Lets it in; answers with what stands against it. */
  enter: (passphrase: string, name: string) => Promise<string>
}>()

const passphrase = ref('')
const name = ref('')
const trouble = ref('')
const busy = ref(false)

async function send(): Promise<void> {
  if (passphrase.value === '') {
    trouble.value = 'Type the household\'s passphrase first. Nothing was changed.'
    return
  }
  busy.value = true
  trouble.value = await props.enter(passphrase.value, name.value.trim())
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
    <form
      v-else
      @submit.prevent="send"
    >
      <label for="passphrase">The household's passphrase</label>
      <ElInput
        id="passphrase"
        v-model="passphrase"
        type="password"
        autocomplete="current-password"
        size="large"
      />
      <label for="device-name">What this device is called (if you like)</label>
      <ElInput
        id="device-name"
        v-model="name"
        maxlength="60"
        placeholder="phone at the fire"
        autocomplete="off"
        size="large"
      />
      <ElButton
        type="primary"
        :disabled="busy"
        native-type="submit"
      >
        {{ busy ? 'One moment' : 'Enter' }}
      </ElButton>
      <TroubleNote :says="trouble" />
      <p class="soft small">
        It is kept here for half a year. What was marked on this device is safe and goes on once you are in.
      </p>
    </form>
  </section>
</template>

<style scoped>
.enter { max-width: 30rem; margin: 0 auto; padding: 2rem 16px; }
form { display: grid; gap: 0.5rem; margin-top: 1rem; }
label { font-weight: 600; }
.el-button { min-height: 64px; font-size: 1.3rem; margin-top: 0.5rem; }
</style>

<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import { computed, reactive, ref } from 'vue'
import { NewCalendarKeySchema } from '../../../contracts/calendar'
import { formRules, isRight } from '../../composables/formRules'
import { useCalendarKeys } from '../../composables/calendarKeys'
import { dayText, timeOfDay } from '../../composables/format'
import TroubleNote from '../TroubleNote.vue'

const props = defineProps<{
  /** Addresses at which the hearth is found in the house; this page's own where there is none. */
  addresses: readonly string[]
}>()

const { keys, made, trouble, make, drop } = useCalendarKeys()
const typed = reactive({ name: '' })
const form = ref<FormInstance | null>(null)
const rules = formRules(NewCalendarKeySchema, { name: { says: 'Sixty letters are enough for a name.' } })
const copied = ref('')
const address = computed(() => (made.value === '' ? '' : `${(props.addresses[0] ?? location.origin).replace(/\/+$/, '')}${made.value}`))
async function begin(): Promise<void> {
  if (!await isRight(form)) return
  copied.value = ''
  await make(typed.name.trim())
  form.value?.resetFields()
}
async function copy(): Promise<void> {
  copied.value = await navigator.clipboard.writeText(address.value).then(() => 'Copied.', () => 'This browser does not let it be copied: mark the address and copy it by hand.')
}
</script>

<template>
  <section
    id="calendar"
    class="slab"
  >
    <h2>The days in a calendar</h2>
    <p class="soft">
      A calendar that subscribes to an address follows every day that is planned: a step that moves moves there, one that is taken out is cancelled. Whoever has the address can read the days, and nothing else; it can be taken back.
    </p>
    <ul v-if="keys.length > 0">
      <li
        v-for="one in keys"
        :key="one.id"
      >
        <span>{{ one.name || 'without a name' }} <span class="soft">made {{ dayText(one.madeAt) }}, {{ one.readAt === null ? 'not read yet' : `read last ${dayText(one.readAt)} ${timeOfDay(one.readAt)}` }}</span></span>
        <ElButton
          :aria-label="`Take back the address: ${one.name || 'without a name'}`"
          @click="drop(one.id)"
        >
          Take it back
        </ElButton>
      </li>
    </ul>
    <ElForm
      ref="form"
      class="new"
      :model="typed"
      :rules="rules"
      hide-required-asterisk
      @submit.prevent="begin"
    >
      <ElFormItem
        prop="name"
        label="Whose calendar it is for"
      >
        <ElInput
          v-model="typed.name"
          maxlength="60"
          placeholder="Aunt Meru's telephone"
          autocomplete="off"
        />
      </ElFormItem>
      <ElButton native-type="submit">
        Make an address
      </ElButton>
    </ElForm>
    <div
      v-if="address"
      class="made"
      role="status"
    >
      <label>The address; it is shown this once <ElInput
        :model-value="address"
        readonly
      /></label>
      <ElButton
        type="primary"
        @click="copy"
      >
        Copy it
      </ElButton>
      <span class="soft">{{ copied }}</span>
    </div>
    <TroubleNote :says="trouble" />
  </section>
</template>

<style scoped>
section { display: grid; gap: 8px; }
p { margin: 0; }
ul { list-style: none; margin: 0; padding: 0; }
li { display: flex; justify-content: space-between; align-items: center; gap: 12px; padding: 4px 0; }
.new, .made { display: flex; flex-wrap: wrap; gap: 10px 14px; align-items: flex-end; }
.el-form-item { margin: 0; flex: 1 1 260px; }
label { display: grid; gap: 4px; font-weight: 600; flex: 1 1 260px; }
</style>

<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import { reactive, ref } from 'vue'
import { formRules, isRight } from '../../composables/formRules'
import { minuteText } from '../../composables/houseTime'
import { SpreadSchema, type Spread } from '../../../contracts/spread'
import LabelledChoice from '../LabelledChoice.vue'
import TimeField from './TimeField.vue'

type Promised = Spread['promises'][number]

const props = defineProps<{
  /** The day. */
  spread: Spread
}>()

const emit = defineEmits<{
  /** What is promised. */
  promises: [promises: readonly Promised[]]
}>()

const typed = reactive({ whom: '', what: '' })
const dish = ref<string>()
const at = ref(18 * 60)
const form = ref<FormInstance | null>(null)
const rules = formRules(SpreadSchema.shape.promises.unwrap(), {
  whom: { says: 'Say to whom. Nothing was promised yet.', read: text => text.trim() },
  what: { says: 'A hundred and twenty letters are enough.', read: text => text.trim() },
})
async function add(): Promise<void> {
  if (!await isRight(form)) return
  const id = Array.from({ length: 201 }, (_, i) => `p${i + 1}`).find(one => !props.spread.promises.some(other => other.id === one))!
  const day = Math.floor((props.spread.meals.at(-1)?.at ?? 1440) / 1440) * 1440
  emit('promises', [...props.spread.promises, { id, whom: typed.whom.trim(), what: typed.what.trim(), dish: dish.value ?? null, at: day + at.value, given: false }])
  form.value?.resetFields()
}
</script>

<template>
  <section>
    <h2>Promised</h2>
    <ul>
      <li
        v-for="promise in [...spread.promises].sort((a, b) => a.at - b.at)"
        :key="promise.id"
        :class="{ given: promise.given }"
      >
        <span><strong>{{ minuteText(promise.at) }}</strong> {{ promise.whom }}: {{ promise.what }}{{ promise.dish ? `, ${spread.dishes.find(one => one.id === promise.dish)?.card.name ?? ''}` : '' }}</span>
        <ElButton
          :aria-pressed="promise.given"
          @click="emit('promises', spread.promises.map(one => (one.id === promise.id ? { ...one, given: !one.given } : one)))"
        >
          {{ promise.given ? 'Given' : 'Give it' }}
        </ElButton>
        <ElButton
          text
          @click="emit('promises', spread.promises.filter(one => one.id !== promise.id))"
        >
          Take off
        </ElButton>
      </li>
    </ul>
    <ElForm
      ref="form"
      :model="typed"
      :rules="rules"
      hide-required-asterisk
      @submit.prevent="add"
    >
      <ElFormItem
        prop="whom"
        label="To whom"
      >
        <ElInput
          v-model="typed.whom"
          maxlength="60"
        />
      </ElFormItem>
      <ElFormItem
        prop="what"
        label="What, how much"
      >
        <ElInput
          v-model="typed.what"
          maxlength="120"
          placeholder="12 balls"
        />
      </ElFormItem>
      <LabelledChoice
        class="choice"
        asks="Of"
        :chosen="dish"
        :options="spread.dishes.map(one => ({ value: one.id, label: one.card.name }))"
        @choose="value => { dish = value }"
      />
      <TimeField
        asks="By"
        :value="at"
        @set="value => { at = value }"
      />
      <ElButton
        type="primary"
        native-type="submit"
      >
        Promise it
      </ElButton>
    </ElForm>
  </section>
</template>

<style scoped>
ul { list-style: none; margin: 8px 0; padding: 0; display: grid; gap: 8px; max-width: 48em; }
li { display: flex; flex-wrap: wrap; gap: 8px 14px; align-items: center; }
li span:first-child { flex: 1 1 260px; }
.given span { color: var(--ink-soft); text-decoration: line-through; }
.el-form { display: flex; flex-wrap: wrap; gap: 8px 16px; align-items: end; }
.el-form-item { margin: 0; }
/* In a row of fields it would shrink to its caret. */
.choice { min-width: 190px; }
</style>

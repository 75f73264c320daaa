<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import { reactive, ref, shallowRef } from 'vue'
import { SpreadListSchema, SpreadSchema, type Spread, type SpreadLine } from '../../../contracts/spread'
import DateField from '../../components/DateField.vue'
import HousePage from '../../components/HousePage.vue'
import { ask } from '../../clients/api'
import { hearthNow } from '../../clients/hearthClock'
import { useSettings } from '../../stores/settings'
import { formRules, isRight } from '../../composables/formRules'
import { longDayText } from '../../composables/spreadClock'
import { useHouse } from '../../stores/house'
import { isoDay, plusDays } from '../../../core/maths/time/houseDay'
import { vesselsOfKitchen } from '../../../core/day/spread/putOnDay'

const house = useHouse()
const settings = useSettings()
const router = useRouter()
const days = shallowRef<readonly SpreadLine[] | null>(null)
const trouble = ref('')
const typed = reactive({ eve: plusDays(isoDay(hearthNow(), settings.zone), 1), name: '' })
const form = ref<FormInstance | null>(null)
const rules = formRules(SpreadSchema, {
  eve: { says: 'Choose the day of the meal. Nothing was begun.' },
  name: { says: 'Sixty letters are enough for a name.', read: text => text.trim() || 'a day' },
})
void house.load()
void ask('GET', '/spreads', SpreadListSchema).then((list) => {
  days.value = list.spreads
}).catch((error: unknown) => {
  trouble.value = error instanceof Error ? error.message : String(error)
})

async function begin(): Promise<void> {
  if (!house.kitchen || !await isRight(form)) return
  const eve = plusDays(typed.eve, -1)
  const id = `day-${crypto.getRandomValues(new Uint32Array(2)).join('-')}`
  const spread: Spread = {
    id, revision: 0, name: typed.name.trim() || longDayText(eve), eve,
    meals: [{ id: 'm1', name: 'Dinner', at: 1440 + 19 * 60 }], dishes: [], hands: [{ id: 'h1', name: 'You', roasts: true, away: [] }], nights: { from: 1350, to: 390 },
    ...vesselsOfKitchen(house.kitchen), washMin: 5, wishes: [], shared: [], promises: [], plan: null, doings: [], cooks: [],
  }
  try {
    await ask('PUT', `/spreads/${id}`, SpreadSchema, spread)
    await router.push(`/spread/${id}`)
  }
  catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error)
  }
}
</script>

<template>
  <HousePage :trouble="trouble || house.trouble">
    <div class="days">
      <h1>Spread</h1>
      <p class="soft">
        A day of several dishes, planned backwards from the meal: who does what, on which fire, in which pan, and when.
      </p>
      <ElForm
        ref="form"
        class="new slab"
        :model="typed"
        :rules="rules"
        hide-required-asterisk
        @submit.prevent="begin"
      >
        <ElFormItem
          prop="eve"
          label="The day of the meal"
        >
          <DateField
            v-model="typed.eve"
            label="The day of the meal"
          />
        </ElFormItem>
        <ElFormItem
          class="grow"
          prop="name"
          label="What it is called"
        >
          <ElInput
            v-model="typed.name"
            maxlength="60"
            placeholder="Lamp evening, aunt’s visit, Sunday"
          />
        </ElFormItem>
        <ElButton
          type="primary"
          native-type="submit"
        >
          Plan a day
        </ElButton>
      </ElForm>
      <ul v-if="days && days.length > 0">
        <li
          v-for="line in days"
          :key="line.id"
        >
          <NuxtLink :to="`/spread/${line.id}`">
            <strong>{{ line.name }}</strong>
            <span>{{ longDayText(line.eve) }}</span>
            <span class="soft">{{ line.dishes }} {{ line.dishes === 1 ? 'dish' : 'dishes' }}</span>
          </NuxtLink>
        </li>
      </ul>
    </div>
  </HousePage>
</template>

<style scoped>
.days { display: grid; gap: 14px; padding-top: 14px; }
.new { display: flex; flex-wrap: wrap; gap: 10px 18px; align-items: end; margin: 8px 0; }
.new .el-form-item { margin: 0; }
.new .grow { flex: 1 1 260px; }
ul { list-style: none; margin: 0; padding: 0; }
li a { display: grid; grid-template-columns: minmax(0, 2fr) minmax(0, 1.4fr) auto; gap: 4px 20px; align-items: center; min-height: 64px; border-top: 2px solid var(--line); text-decoration: none; font-size: 1.125rem; }
li a:hover strong { color: var(--accent); }
@media (max-width: 700px) { li a { grid-template-columns: minmax(0, 1fr); padding: 8px 0; } }
</style>
